import { N, V } from './part-words';
import { num } from './reader/rules/rule';

/** What a part draws; null where its page does not say it. */
export interface PartDraw {
  typicalAmps: number | null;
  peakAmps: number | null;
  /** Volts at which the typical amps were said; null: not said. */
  atVolts: number | null;
}

interface Said {
  amps: number;
  atVolts: number | null;
  kind: 'running' | 'peak' | 'resting';
  watts: boolean;
}

/** What comes out of it is not what it draws: a regulator's output, the reach of a sensor, the power that goes on the air. */
const givenOut = /\b(?:bec|outputs?|out|sensor|meter|supplies|delivers|gives|provides)\b(?:[^,;.\n]|\.\d){0,20}$/;
const onAir =
  /\b\d+ ?mw ?[/,|] ?$|\b(?:output|transmit|rf|radiated|tx) (?:power|level)s?\b[^;\n]{0,40}$|\b(?:radio|vtx|video transmitter|transmitter|telemetry)\b[^,;.\n]{0,20}$/;
const resting = /\b(?:idle|stand-?by|no[- ]load|sleep|quiescent|at rest)\b/;
const peak = /\b(?:peaks?|max(?:imum)?|bursts?|inrush|stall|surge)\b/;

function kindOf(before: string, after: string): Said['kind'] {
  const said = (words: RegExp) => words.test(before) || words.test(after);
  if (said(resting)) return 'resting';
  return said(peak) ? 'peak' : 'running';
}

const figure = new RegExp(`(?<![\\d.,])${N} ?(ma|a|w)(?:mps?|mperes?|atts?)?\\b(?!h)`, 'g');
const voltsBehind = new RegExp(`^ ?(?:@|at|/|x) ?${N} ?${V}\\b`);
const voltsBefore = new RegExp(`(?<![\\d.,]|[-–] ?|\\bto )${N} ?${V}[ ,:/(]{1,3}$`);
const howMany = /\b(\d{1,3}) ?x? ?(?:rgb )?(?:leds?|lights?|pixels?)\b/;

/** What one figure of a page says, with what stands around it; null where it is none that the part draws, or not enough is said. */
function figureSays(found: RegExpExecArray, t: string, least: number | null, only: number | null): Said | null {
  const end = found.index + found[0].length;
  const [before, after] = [t.slice(Math.max(0, found.index - 48), found.index), t.slice(end, end + 48)];
  const watts = found[2] === 'w';
  if (givenOut.test(before) || /^ ?out(?:put)?\b/.test(after)) return null;
  if (watts && (onAir.test(before) || /(?:@|\bat) ?$/.test(before))) return null;
  const volts = voltsBehind.exec(after)?.[1] ?? voltsBefore.exec(before)?.[1];
  const at = volts === undefined ? only : num(volts);
  const value = num(found[1]) / (found[2] === 'ma' ? 1000 : 1);
  const each = /^ ?(?:per|each|\/) ?(?:led|light|pixel)/.test(after);
  const amps = (watts ? value / (at ?? least ?? Number.NaN) : value) * (each ? num(howMany.exec(t)?.[1]) : 1);
  if (!Number.isFinite(amps) || amps === 0) return null;
  const clause = before.slice(Math.max(...[',', ';', '. ', '\n', '/'].map((e) => before.lastIndexOf(e))) + 1);
  return {
    amps: Math.round(amps * 1000) / 1000,
    atVolts: watts ? (at ?? least) : at,
    kind: kindOf(clause, /^[^,;\n.\d]{0,16}/.exec(after)![0]),
    watts,
  };
}

/**
 * What the figures of a page say that a part draws: of several settings the most ("450 mA at 400 mW, 900 mA at 1 W"), resting ones only where there is no
 * other, lights times their number. Watts are taken at the volts that are said with them, else at the least that it takes, where they are the most amps.
 * `t`: the page small and in English; `least`: the least volts of its supply, `only` its volts where it takes no others.
 */
export function drawOf(t: string, least: number | null, only: number | null): PartDraw {
  const said = [...t.matchAll(figure)].flatMap((found) => figureSays(found, t, least, only) ?? []);
  const most = (kind: Said['kind']) => {
    const of = said.filter((s) => s.kind === kind);
    const inAmps = of.filter((s) => !s.watts);
    return (inAmps.length > 0 ? inAmps : of).reduce<Said | null>((a, b) => (a && a.amps >= b.amps ? a : b), null);
  };
  const typical = most('running') ?? most('resting');
  return {
    typicalAmps: typical?.amps ?? null,
    peakAmps: most('peak')?.amps ?? null,
    atVolts: typical?.atVolts ?? null,
  };
}
