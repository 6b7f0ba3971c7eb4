import type { Build } from '../records/build';
import type { Shelf } from '../records/shelf';
import { decidedOf } from './decided-of';
import { drawnBuild } from './drawn-build';
import { abroad, carriedOf, digestOf, drawnPairs, tellingPairs, toldOf } from './telling-pairs';

/** What is soon worked out. */
const ofDrawn = [
  'order',
  'other ways',
  'what locks cost',
  'the least that a board needs',
  'bounds of members',
  'all in all',
  'money',
  'frontier',
];

export interface Section {
  name: string;
  lines: () => string[];
}

/** All that is recorded of what the core says and decides (bench/recorded-words.txt), by name. */
export function sectionsOf(builds: readonly Build[], { boards: shelf, peripherals }: Shelf): Section[] {
  const drawnBuilds = (count: number) =>
    Array.from({ length: count }, (_, i) => drawnBuild(i + 1, 4 + (i % 12), builds, peripherals));
  return [
    ...tellingPairs(builds, shelf).map((pair) => ({ name: pair.name, lines: () => toldOf(pair) })),
    ...builds.map((build) => ({ name: `${build.id}, what goes along`, lines: () => carriedOf(build, shelf) })),
    ...builds.map((build) => ({
      name: `${build.id}, what goes along abroad`,
      lines: () => carriedOf(abroad(build), shelf),
    })),
    ...builds.flatMap((build) =>
      Object.entries(decidedOf(build, shelf)).map(([what, decided]) => ({
        name: `${build.id}, ${what}`,
        lines: () => decided().map((one) => JSON.stringify(one)),
      })),
    ),
    // Of other builds eight letters for each thing, by which it is seen that it changed.
    ...drawnPairs(drawnBuilds(60), shelf).map((pair) => ({ name: pair.name, lines: () => toldOf(pair).map(digestOf) })),
    ...drawnBuilds(20).flatMap((build) =>
      Object.entries(decidedOf(build, shelf))
        .filter(([what]) => ofDrawn.includes(what))
        .map(([what, decided]) => ({ name: `${build.id}, ${what}`, lines: () => decided().map(digestOf) })),
    ),
  ];
}

const heading = '==== ';

export function writtenSections(sections: readonly Section[]): string {
  return sections.map(({ name, lines }) => [heading + name, ...lines(), ''].join('\n')).join('');
}

export function readSections(text: string): Map<string, string[]> {
  const [, ...parts] = `\n${text.slice(0, -1)}`.split(`\n${heading}`);
  return new Map(
    parts.map((part) => {
      const [name, ...lines] = part.split('\n');
      return [name!, lines];
    }),
  );
}
