import { Search } from 'lucide-react';
import { useEffect, useState } from 'react';

const PAUSE_MS = 250;

/** Words to look for; `onSearch` hears them once the typing pauses. */
export function SearchField({ label, onSearch }: { label: string; onSearch: (q: string) => void }) {
  const [text, setText] = useState('');
  useEffect(() => {
    const timer = setTimeout(() => onSearch(text.trim()), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [text, onSearch]);
  return (
    <div role="search" className="relative grow basis-56">
      <Search aria-hidden className="pointer-events-none absolute top-3.5 left-3 size-5 text-soft" />
      <input
        type="search"
        aria-label={label}
        placeholder={label}
        className="field !pl-10 [&::-webkit-search-cancel-button]:hidden"
        value={text}
        maxLength={200}
        onChange={(e) => setText(e.target.value)}
      />
    </div>
  );
}
