import { select } from 'd3-selection';
import { zoom, zoomIdentity, type ZoomBehavior } from 'd3-zoom';
import { useCallback, useEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';

const CLOSEST = 2.5;

/** Smaller than this nobody reads it: then it opens at what matters, and the rest is dragged in. */
const READABLE = 0.8;

interface Size {
  width: number;
  height: number;
}
/** Whether the page is being printed: then all of a drawing stands on it, whatever is seen on the screen. */
function usePrinting(): boolean {
  const [printing, setPrinting] = useState(false);
  useEffect(() => {
    const [before, after] = [() => flushSync(() => setPrinting(true)), () => setPrinting(false)];
    addEventListener('beforeprint', before);
    addEventListener('afterprint', after);
    return () => {
      removeEventListener('beforeprint', before);
      removeEventListener('afterprint', after);
    };
  }, []);
  return printing;
}

/** Pan and pinch, and the whole of it at one press. It opens whole where that can be read, else about `focus`. */
export function useZoom(size: Size | undefined, focus: { x: number; y: number } | undefined) {
  const svg = useRef<SVGSVGElement>(null);
  const behaviour = useRef<ZoomBehavior<SVGSVGElement, unknown>>(undefined);
  const [transform, setTransform] = useState(zoomIdentity);
  const put = useCallback(
    (least: number, about?: { x: number; y: number }) => {
      const at = svg.current;
      if (!at || !size || !behaviour.current) return;
      const { clientWidth, clientHeight } = at;
      const whole = Math.min(clientWidth / (size.width + 20), clientHeight / (size.height + 20), 1);
      const k = Math.max(whole, least);
      /** So far that the middle is at `about`, and no edge is left inside when the drawing is larger than the window. */
      const shift = (window: number, drawn: number, middle: number) =>
        k * drawn <= window
          ? (window - k * drawn) / 2
          : Math.min(10, Math.max(window - k * drawn - 10, window / 2 - k * middle));
      const x = shift(clientWidth, size.width, about?.x ?? 0);
      const y = shift(clientHeight, size.height, about?.y ?? size.height / 2);
      select(at).call((s) => behaviour.current!.transform(s, zoomIdentity.translate(x, y).scale(k)));
    },
    [size],
  );
  const fit = useCallback(() => put(0), [put]);
  const by = useCallback((factor: number) => {
    if (svg.current && behaviour.current) select(svg.current).call((s) => behaviour.current!.scaleBy(s, factor));
  }, []);
  useEffect(() => {
    const at = svg.current;
    if (!at || !size) return;
    behaviour.current = zoom<SVGSVGElement, unknown>()
      .scaleExtent([0.1, CLOSEST])
      .on('zoom', (e: { transform: typeof zoomIdentity }) => setTransform(e.transform));
    select(at).call(behaviour.current).on('dblclick.zoom', null);
    put(READABLE, focus);
    return () => void select(at).on('.zoom', null);
    // Where it opens is asked once a drawing: what moves on later does not pull it away under the finger.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [size, put, focus === undefined]);
  const printing = usePrinting();
  const whole = size && `-10 -10 ${size.width + 20} ${size.height + 20}`;
  return { svg, viewBox: printing ? whole : undefined, transform: printing ? '' : transform.toString(), fit, by };
}
