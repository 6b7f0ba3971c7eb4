import type { Link, Peripheral } from '../records/peripheral';
import { protocols } from '../trade/protocol';
import { kindMeant } from './kind-words';
import { thingsOnLine } from './things-on-line';

export interface PastedLine {
  line: string;
  /** How many of it are asked for. */
  count: number;
  /** The part of the library that the line means; null: none, or not clear which. */
  part: Peripheral | null;
  /** Others that it may mean, the likeliest first. */
  others: Peripheral[];
}

/** So many others are shown. */
const mostOthers = 6;

/**
 * A parts list as text or CSV, a part a line ("2x Wrist 9 servo", "Skein Long; receiver; 1") or several ("receiver, camera and GPS"): each is held against the names of the library. A line is
 * understood only when it says at least half of a part's own name, its first word among it, more of it than of every other, and names no other kind of thing. A line that says no name but
 * a kind ("GPS with compass", "receiver, CRSF") is left to the buyer: parts of that kind, those first that match most of what else it says.
 */
export function readPartsList(text: string, library: readonly Peripheral[]): PastedLine[] {
  const known = library.map((part) => ({
    part,
    name: ownWords(part),
    all: new Set(words(`${part.name} ${part.maker} ${part.kind}`)),
  }));
  // "Receiver, two wires" says how it is wired, not that it is called "Wires"; two such words, "two-way GPS", are the name again.
  const ofWiring = new Set(library.flatMap((p) => words(p.modes.map((m) => m.label).join(' '))));
  const kindsOf = (piece: string) => {
    const said = words(piece);
    return (
      kindMeant(piece)?.kinds ??
      known.flatMap(({ part, name }) => (name.every((w) => said.includes(w)) ? [[part.kind]] : []))[0] ??
      null
    );
  };
  return text
    .slice(0, 20_000)
    .split(/\r?\n/)
    .map((l) => l.trim())
    .filter(Boolean)
    .flatMap((line) => thingsOnLine(line, kindsOf))
    .slice(0, 60)
    .map((line) => {
      const said = words(line);
      const kinds = kindMeant(line)?.kinds ?? null;
      // Half a name holds its first word, or another word where the line names its kind: "strong servo", but "sender, 8 W" is no "Glim 8", and a micro computer no "Tallow Micro".
      const isHalf = (part: Peripheral, name: string[], found: string[]) =>
        found.includes(name[0]!) ||
        (kinds?.includes(part.kind) === true &&
          (found.length > 1 || !ofWiring.has(found[0]!)) &&
          found.some((w) => !/^\d+$/.test(w)));
      const scored = known
        .map(({ part, name, all }) => {
          const found = name.filter((w) => said.includes(w));
          return {
            part,
            share: found.length === name.length || isHalf(part, name, found) ? found.length / name.length : 0,
            spare: name.length - found.length,
            hits: said.filter((w) => all.has(w)).length,
          };
        })
        // A whole name may hold a word for another kind ("Nod Servo", a gimbal); half a name may not.
        .filter((s) => s.share === 1 || (s.share >= 0.5 && (kinds === null || kinds.includes(s.part.kind))))
        .sort((a, b) => b.hits - a.hits || a.spare - b.spare || a.part.id.localeCompare(b.part.id));
      const [first, second] = scored;
      const clear = first && (!second || first.hits > second.hits || first.spare < second.spare);
      const others = scored.length > 0 ? scored.slice(clear ? 1 : 0).map((s) => s.part) : likeliest(line, library);
      return { line, count: countIn(line), part: clear ? first.part : null, others: others.slice(0, mostOthers) };
    });
}

/** The parts of the kind that a line names, those first that match most of what else it says. */
function likeliest(line: string, library: readonly Peripheral[]): Peripheral[] {
  const meant = kindMeant(line);
  if (!meant) return [];
  const said = spellings(words(line.toLowerCase().replace(meant.phrase, ' ')));
  const matches = (part: Peripheral) => said.filter((w) => signsOf(part).has(w)).length;
  return library
    .filter((p) => meant.kinds.includes(p.kind))
    .map((part) => ({ part, by: matches(part) }))
    .sort((a, b) => b.by - a.by || meant.kinds.indexOf(a.part.kind) - meant.kinds.indexOf(b.part.kind))
    .map(({ part }) => part);
}

/** Words as others may write them: two as one ("air speed"), a number without its unit ("600mW"). */
function spellings(said: string[]): string[] {
  const joined = said.slice(1).map((w, i) => said[i]! + w);
  const numbers = said.flatMap((w) => /^(\d+)[a-z]+$/.exec(w)?.[1] ?? []);
  return [...said, ...joined, ...numbers];
}

/** What people say of a part besides its kind: how it is wired, by the printed names too, and what its name holds. */
function signsOf(part: Peripheral): Set<string> {
  const links = part.modes.flatMap((m) => m.links);
  const compass =
    part.kind === 'positioning' && links.some((l) => l.kind === 'i2c' || l.kind === 'can')
      ? 'compass mag magnetometer'
      : '';
  return new Set(
    words(`${part.name} ${part.modes.map((m) => m.label).join(' ')} ${links.map(wiredBy).join(' ')} ${compass}`),
  );
}

function wiredBy(link: Link): string {
  return link.kind === 'serial' ? `serial uart ${protocols[link.protocol].printed}` : link.kind;
}

/** The name without the maker's, which people leave out. */
function ownWords(part: Peripheral): string[] {
  const maker = new Set(words(part.maker));
  const own = words(part.name).filter((w) => !maker.has(w));
  return own.length > 0 ? own : words(part.name);
}

function words(text: string): string[] {
  return text
    .toLowerCase()
    .replaceAll('.', '')
    .split(/[^a-z0-9]+/)
    .filter((w) => w.length > 1 || /\d/.test(w));
}

/** "2x ...", "...; 2", "... x 2" and "2 servos" ask for two; at most 12. A strip of "24 LEDs" is one. */
function countIn(line: string): number {
  const found =
    /^(\d{1,2})\s+(?!leds?\b|lights?\b)[a-z ]{2,24}s$/i.exec(line)?.[1] ??
    /^(\d{1,2})\s*x\b/i.exec(line)?.[1] ??
    /[;,\t]\s*(\d{1,2})$/.exec(line)?.[1] ??
    /\bx\s*(\d{1,2})$/i.exec(line)?.[1];
  return Math.min(12, Math.max(1, Number(found ?? 1)));
}
