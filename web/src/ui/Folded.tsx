import { ChevronRight } from 'lucide-react';
import type { ReactNode } from 'react';

/** What is folded away under its name; the handle turns as it opens. */
export function Folded({
  name,
  className = '',
  open,
  onToggle,
  children,
}: {
  name: string;
  className?: string;
  open?: boolean;
  onToggle?: (open: boolean) => void;
  children: ReactNode;
}) {
  return (
    <details
      className={`group ${className}`}
      {...(open ? { open: true } : {})}
      onToggle={(e) => onToggle?.(e.currentTarget.open)}
    >
      <summary className="flex min-h-12 cursor-pointer list-none items-center gap-1.5 text-lg font-semibold">
        <ChevronRight aria-hidden className="size-5 shrink-0 transition-transform group-open:rotate-90" />
        {name}
      </summary>
      {children}
    </details>
  );
}
