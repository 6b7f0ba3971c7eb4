import same from 'fast-deep-equal';
import type { Build } from '../records/build';

export type BuildField = Exclude<keyof Build, 'format' | 'version' | 'id' | 'parts'>;

/** What each field of a build is called; one that is missing here does not compile. */
export const called: Record<BuildField, string> = {
  name: 'the name',
  craft: 'what it is for',
  frame: 'the frame',
  pack: 'the packs',
  morePacks: 'the packs',
  motors: 'motors and ESCs',
  bareMassG: 'the bare craft',
  capacitor: 'the capacitor',
  said: 'whose word its numbers are',
  limits: 'limits',
  currency: 'the currency',
  rates: 'what other currencies are worth',
  radio: 'the radio',
  imports: 'duty and tax',
  comforts: 'wishes',
  policies: 'policies',
  locks: 'locked choices',
  fixes: 'accepted fixes',
  sets: 'sets put together',
  weighing: 'what counts how much',
  picks: 'picks',
  log: 'the logbook',
  done: 'ticked steps',
  stage: 'how far it is',
  orderedOn: 'the order',
  arrivesOn: 'the order',
  atHome: 'what is at home',
  forkOf: 'what it was forked from',
};
const fields = Object.keys(called) as BuildField[];

interface Differing {
  gone: string[];
  come: string[];
  changed: string[];
  /** What else, as it is called. */
  other: string[];
}

function differing(was: Build, now: Build): Differing {
  const name = (p: Build['parts'][number]) => p.peripheral.name;
  return {
    gone: was.parts.filter((p) => !now.parts.some((x) => x.id === p.id)).map(name),
    come: now.parts.filter((p) => !was.parts.some((x) => x.id === p.id)).map(name),
    changed: was.parts
      .filter((p) => {
        const other = now.parts.find((x) => x.id === p.id);
        return other !== undefined && !same(other, p);
      })
      .map(name),
    other: [...new Set(fields.filter((f) => !same(was[f], now[f])).map((f) => called[f]))],
  };
}

/** In what an earlier build differs from the one that stands now, in plain words; that it does not, where it does not. */
export function buildDifferences(was: Build, now: Build): string[] {
  const { gone, come, changed, other } = differing(was, now);
  const lines = [
    ...(gone.length > 0 ? [`Had: ${gone.join(', ')}.`] : []),
    ...(come.length > 0 ? [`Had not: ${come.join(', ')}.`] : []),
    ...(changed.length > 0 ? [`Other details: ${changed.join(', ')}.`] : []),
    ...other.map((what) => `Other: ${what}.`),
  ];
  return lines.length > 0 ? lines : ['Nothing differs from what stands now.'];
}

/** What became of a build since, in plain words; nothing where nothing did. */
export function buildChanges(was: Build, now: Build): string[] {
  const { gone, come, changed, other } = differing(was, now);
  return [
    ...(come.length > 0 ? [`new: ${come.join(', ')}`] : []),
    ...(gone.length > 0 ? [`left out: ${gone.join(', ')}`] : []),
    ...(changed.length > 0 ? [`changed: ${changed.join(', ')}`] : []),
    ...other,
  ];
}
