import { mayHaveMore } from '../circuit/all-pads';
import { interval, isKnown } from '../quantity/figure';
import { num } from '../quantity/spelled';
import type { Board } from '../records/board';
import type { Part } from '../records/build';
import type { Mode } from '../records/peripheral';
import { level } from '../trade/level';
import { leastOf, type BriefLine } from './brief-line';

/** What drives a pad above what every pad of a 3.3 V processor stands, and which pads of a board it may be put on. */
const kinds = [
  {
    id: 'level serial',
    what: 'a serial pad',
    volts: (mode: Mode) => mode.links.map((l) => (l.kind === 'serial' ? (l.sendsVolts ?? 0) : 0)),
    pads: (b: Board) => [
      ...b.ports.flatMap((p) => [...p.rx, ...p.tx].map((e) => e.pad)),
      ...b.outputs.filter((o) => o.can.includes('soft serial')).map((o) => o.pad),
    ],
  },
  {
    id: 'level bus',
    what: 'an I2C bus',
    volts: (mode: Mode) => mode.links.map((l) => (l.kind === 'i2c' ? (l.pullsToVolts ?? 0) : 0)),
    pads: (b: Board) => b.buses.filter((bus) => bus.kind === 'i2c').flatMap((bus) => bus.pads),
  },
];

/** A signal of 5 V wants a pad that stands it, however its part is wired. */
export function levelLines(musts: readonly Part[]): BriefLine[] {
  return kinds.flatMap(({ id, what, volts, pads }): BriefLine[] => {
    const most = (part: Part) => leastOf(part, (mode) => Math.max(0, ...volts(mode)));
    const asking = musts.filter((p) => most(p) > level.inputMaxVolts);
    if (asking.length === 0) return [];
    const needed = Math.max(...asking.map(most));
    return [
      {
        id,
        asks: `${what} that stands signals of ${num(needed, 1)} V`,
        because: asking.map((p) => p.peripheral.name),
        lower: 'a level converter, or a part that sends 3.3 V',
        fails: (board) => {
          const there = pads(board).map((pad) => board.pads.find((p) => p.id === pad)?.toleratesVolts);
          return !mayHaveMore(board) && there.every((stands) => isKnown(stands) && interval(stands).high < needed);
        },
      },
    ];
  });
}
