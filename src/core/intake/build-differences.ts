import type { Build } from '../records/build';

/** In what an earlier build differs from the one that stands now, in plain words; that it does not, where it does not. */
export function buildDifferences(was: Build, now: Build): string[] {
  const name = (p: Build['parts'][number]) => p.peripheral.name;
  const gone = was.parts.filter((p) => !now.parts.some((x) => x.id === p.id)).map(name);
  const come = now.parts.filter((p) => !was.parts.some((x) => x.id === p.id)).map(name);
  const changed = was.parts
    .filter((p) => {
      const other = now.parts.find((x) => x.id === p.id);
      return other !== undefined && !same(other, p);
    })
    .map(name);
  const about = [
    ['the name', was.name, now.name],
    ['the frame', was.frame, now.frame],
    ['the packs', [was.pack, was.morePacks], [now.pack, now.morePacks]],
    ['motors and ESCs', was.motors, now.motors],
    ['limits', was.limits, now.limits],
    ['wishes', was.comforts, now.comforts],
    ['policies', was.policies, now.policies],
    ['locked choices', was.locks, now.locks],
    ['accepted fixes', was.fixes, now.fixes],
    ['picks', was.picks, now.picks],
    ['the logbook', was.log, now.log],
    ['ticked steps', was.done, now.done],
  ] as const;
  const lines = [
    ...(gone.length > 0 ? [`Had: ${gone.join(', ')}.`] : []),
    ...(come.length > 0 ? [`Had not: ${come.join(', ')}.`] : []),
    ...(changed.length > 0 ? [`Other details: ${changed.join(', ')}.`] : []),
    ...about.filter(([, a, b]) => !same(a, b)).map(([what]) => `Other: ${what}.`),
  ];
  return lines.length > 0 ? lines : ['Nothing differs from what stands now.'];
}

function same(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}
