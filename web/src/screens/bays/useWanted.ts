import { useEffect, useRef } from 'react';
import { call } from '../../api/client.ts';
import type { JobRow } from '../../api/types.ts';

/** Bays come into view together: they are asked for in one call. */
const TOGETHER_MS = 120;
const wanted = new Set<string>();
let timer: ReturnType<typeof setTimeout> | undefined;

function want(id: string): void {
  wanted.add(id);
  timer ??= setTimeout(() => {
    const ids = [...wanted];
    wanted.clear();
    timer = undefined;
    // Without a signal there is nobody to work it out.
    void call('POST', '/bays/wanted', { ids }).catch(() => undefined);
  }, TOGETHER_MS);
}

/** Has the bay worked out first once it stands before somebody's eyes. */
export function useWanted({ id, version, summary }: JobRow) {
  const element = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (summary || !element.current || typeof IntersectionObserver === 'undefined') return;
    const observer = new IntersectionObserver(([entry]) => {
      if (!entry?.isIntersecting) return;
      observer.disconnect();
      want(id);
    });
    observer.observe(element.current);
    return () => observer.disconnect();
  }, [id, version, summary]);
  return element;
}
