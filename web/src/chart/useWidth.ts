import { useEffect, useRef, useState } from 'react';

/** The width that an element has on the page, pixels; `usual` until it is known, and where nothing measures it. */
export function useWidth<E extends Element>(usual: number) {
  const ref = useRef<E>(null);
  const [width, setWidth] = useState(usual);
  useEffect(() => {
    if (!ref.current || typeof ResizeObserver === 'undefined') return undefined;
    const watch = new ResizeObserver(([entry]) => {
      if (entry && entry.contentRect.width > 0) setWidth(Math.round(entry.contentRect.width));
    });
    watch.observe(ref.current);
    return () => watch.disconnect();
  }, []);
  return [ref, width] as const;
}
