import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { decidedOf } from './decided-of';
import { abroad, carriedOf, tellingPairs, toldOf } from './telling-pairs';

export interface Section {
  name: string;
  lines: () => string[];
}

/** All that is recorded of what the core says and decides (bench/recorded-words.txt), by name. */
export function sectionsOf(builds: readonly Build[], shelf: readonly Board[]): Section[] {
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
