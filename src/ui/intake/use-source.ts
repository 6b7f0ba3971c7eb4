import { useRef, useState } from 'react';
import { openSource, type OnTheWay, type OpenedSource } from './open-source';

/** A source on its way from files: what is read so far, how to stop, and the sentence that says why not. */
export function useSource(onOpen: (source: OpenedSource) => void) {
  const [way, setWay] = useState<(OnTheWay & { name: string }) | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const stopper = useRef<AbortController | null>(null);
  const open = async (files: readonly File[]) => {
    stopper.current?.abort();
    const stop = new AbortController();
    stopper.current = stop;
    setSaid(null);
    try {
      const opened: OpenedSource[] = [];
      for (const file of files) {
        setWay({ name: file.name, words: 'opening', share: 0 });
        opened.push(await openSource(file, (at) => setWay({ name: file.name, ...at }), stop.signal));
      }
      const [source] = opened;
      if (source && !stop.signal.aborted) onOpen(opened.length === 1 ? source : together(opened));
      setSaid(
        opened
          .map((o) => o.said)
          .filter(Boolean)
          .join(' ') || null,
      );
    } catch (error) {
      setSaid(stop.signal.aborted ? 'Stopped. Nothing of it was taken.' : (error as Error).message);
    } finally {
      if (stopper.current === stop) setWay(null);
    }
  };
  return { way, said, open, stop: () => stopper.current?.abort() };
}

/** Several files as one source, their pages one behind the other. */
function together(sources: OpenedSource[]): OpenedSource {
  const all = sources.flatMap((s) => s.pages.map((page) => ({ s, page })));
  return {
    kind: sources[0]!.kind,
    name: `${sources[0]!.name} and ${sources.length - 1} more`,
    said: null,
    pages: all.map(({ page }, i) => ({ ...page, number: i + 1 })),
    pictureOf: (number) => {
      const at = all[number - 1];
      return at ? at.s.pictureOf(at.page.number) : Promise.resolve(null);
    },
  };
}
