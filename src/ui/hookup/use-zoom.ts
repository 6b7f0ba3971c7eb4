import { select } from 'd3-selection';
import { zoom, zoomIdentity } from 'd3-zoom';
import { useCallback, useEffect, useRef } from 'react';

const scales: [number, number] = [1, 6];

/** Zoom and pan for a picture: by Control and the wheel, by pinching, by dragging once it is larger than its frame, and by the functions given back. */
export function useZoom() {
  const frame = useRef<HTMLDivElement>(null);
  const picture = useRef<HTMLDivElement>(null);
  const behaviour = useRef(zoom<HTMLDivElement, unknown>().scaleExtent(scales));
  useEffect(() => {
    const at = frame.current;
    const moved = picture.current;
    if (!at || !moved) return;
    let scale = 1;
    behaviour.current
      // The wheel alone scrolls the page, and a click on a part is no drag.
      .filter((event: MouseEvent) => (event.type === 'wheel' ? event.ctrlKey : scale > 1 || event.type !== 'mousedown'))
      .extent(() => [
        [0, 0],
        [at.clientWidth, at.clientHeight],
      ])
      .translateExtent([
        [0, 0],
        [at.clientWidth, at.clientHeight],
      ])
      .on('zoom', ({ transform }: { transform: { x: number; y: number; k: number } }) => {
        scale = transform.k;
        moved.style.transform = `translate(${transform.x}px, ${transform.y}px) scale(${transform.k})`;
      });
    const selected = select(at).call(behaviour.current).on('dblclick.zoom', null);
    return () => void selected.on('.zoom', null);
  }, []);
  const by = useCallback((factor: number) => {
    if (frame.current) behaviour.current.scaleBy(select(frame.current), factor);
  }, []);
  const fit = useCallback(() => {
    if (frame.current) behaviour.current.transform(select(frame.current), zoomIdentity);
  }, []);
  return { frame, picture, larger: () => by(1.4), smaller: () => by(1 / 1.4), fit };
}
