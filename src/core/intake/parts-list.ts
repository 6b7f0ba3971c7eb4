import type { Peripheral, PeripheralKind } from '../model/peripheral';

export interface PastedLine {
  line: string;
  /** How many of it are asked for. */
  count: number;
  /** The part of the library that the line most likely means; null: none. */
  part: Peripheral | null;
  /** Others that share as many words; where none does, some of the kind that the line names. */
  others: Peripheral[];
}

/**
 * A parts list as text or CSV, a part a line ("2x Wrist 9 servo", "Skein Long; receiver; 1"): each line is held against names, makers and kinds of the
 * library. A line is understood only when one part shares more of its words than every other and at least half of that part's own name.
 */
export function readPartsList(text: string, library: readonly Peripheral[]): PastedLine[] {
  const known = library.map((part) => ({ part, name: ownWords(part), all: new Set(words(`${part.name} ${part.maker} ${part.kind}`)) }));
  return text
    .slice(0, 20_000)
    .split(/\r?\n/)
    .map((l) => l.trim())
    .filter(Boolean)
    .slice(0, 60)
    .map((line) => {
      const said = words(line);
      const scored = known
        .map(({ part, name, all }) => ({ part, hits: said.filter((w) => all.has(w)).length, share: name.filter((w) => said.includes(w)).length / name.length, spare: name.filter((w) => !said.includes(w)).length }))
        .filter((s) => s.share >= 0.5)
        .sort((a, b) => b.hits - a.hits || a.spare - b.spare || a.part.id.localeCompare(b.part.id));
      const [first, second] = scored;
      const clear = first && (!second || first.hits > second.hits || first.spare < second.spare);
      return { line, count: countIn(line), part: clear ? first.part : null, others: scored.length > 0 ? scored.slice(clear ? 1 : 0, 4).map((s) => s.part) : ofKind(said, library) };
    });
}

/** What people write for a kind of part: common practice, no source. */
const kindWords: Record<string, PeripheralKind> = {
  gps: 'positioning', gnss: 'positioning', rx: 'receiver', receiver: 'receiver', vtx: 'video transmitter', transmitter: 'video transmitter', cam: 'camera', camera: 'camera', led: 'light', leds: 'light', light: 'light',
  lidar: 'range finder', buzzer: 'buzzer', beeper: 'buzzer', servo: 'servo', servos: 'servo', compass: 'compass', mag: 'compass', magnetometer: 'compass', pitot: 'air speed', airspeed: 'air speed', blackbox: 'recorder', recorder: 'recorder', gimbal: 'gimbal', telemetry: 'ground link',
};

function ofKind(said: readonly string[], library: readonly Peripheral[]): Peripheral[] {
  const kind = said.map((w) => kindWords[w]).find((k) => k !== undefined);
  return kind ? library.filter((p) => p.kind === kind).slice(0, 4) : [];
}

/** The name without the maker's, which people leave out. */
function ownWords(part: Peripheral): string[] {
  const maker = new Set(words(part.maker));
  const own = words(part.name).filter((w) => !maker.has(w));
  return own.length > 0 ? own : words(part.name);
}

function words(text: string): string[] {
  return text.toLowerCase().split(/[^a-z0-9]+/).filter((w) => w.length > 1 || /\d/.test(w));
}

/** "2x ..." and "...; 2" and "... x 2" ask for two; at most 12. */
function countIn(line: string): number {
  const found = /^(\d{1,2})\s*x\b/i.exec(line)?.[1] ?? /[;,\t]\s*(\d{1,2})$/.exec(line)?.[1] ?? /\bx\s*(\d{1,2})$/i.exec(line)?.[1];
  return Math.min(12, Math.max(1, Number(found ?? 1)));
}
