import type { Wire } from '../bill/wire-list';
import { comesOut } from '../circuit/route';
import { list } from '../quantity/spelled';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { foldOutMm } from '../trade/place';
import { strandedMm } from '../trade/wire';
import type { Step } from './step';

/** How wide a pad of a size class is, in millimetres: common practice of the trade, no source. */
const padMm = { large: 4, medium: 2.5, small: 1.6, tiny: 1 } as const;

/** What goes wrong at the bench although the wiring is right: warnings that the figures of this build call for. */
export function mind(build: Build, board: Board, wires: readonly Wire[]): Step[] {
  const padOf = (w: Wire) => board.pads.find((p) => p.id === w.padId);
  const step = (key: string, does: string, why: string): Step => ({ key: `mind ${key}`, does, why });
  const under = wires.filter((w) => w.padId !== null && w.face === 'bottom');
  const stiff = wires.filter((w) => {
    const pad = padOf(w);
    return pad && pad.form !== 'pin' && strandedMm(w.gauge) > padMm[pad.size];
  });
  const audio = build.parts.flatMap(({ peripheral }) =>
    peripheral.plugs
      .flatMap((p) => p.pins)
      .filter((p) => /^(audio|aud|mic)/i.test(p.name))
      .map((p) => `${peripheral.name}, pin ${p.name}`),
  );
  const update = (board.receiver?.updatePads ?? []).map((id) => board.pads.find((p) => p.id === id)?.label ?? id);
  const names = (some: Wire[]) => list([...new Set(some.map((w) => `${w.from} (${w.partName}, ${w.gauge} AWG)`))]);
  return [
    ...(under.length > 0
      ? [
          step(
            'underside',
            `Photograph the underside before it is mounted: ${list([...new Set(under.map((w) => padOf(w)!.label))])} and their print are out of sight afterwards.`,
            'What was soldered where is the first question when something does not work.',
          ),
        ]
      : []),
    ...(comesOut(build, board)
      ? [
          step(
            'slack',
            `Leave ${foldOutMm} mm of slack in every wire (the lengths here have it) and leave one side free of them: the board folds out to be plugged into USB.`,
            'A board that can only be served by cutting its wires is not served.',
          ),
        ]
      : []),
    ...(stiff.length > 0
      ? [
          step(
            'stiff',
            `Thicker than its pad: ${names(stiff)}. Strip it short, twist and tin it, flatten the end, and hold the wire down two centimetres from the joint.`,
            'A stiff wire on a small pad tears the pad off when it is bent.',
          ),
        ]
      : []),
    ...(audio.length > 0
      ? [step('audio', `Tie what is not used to ground: ${list(audio)}.`, 'An open audio input hums into the picture.')]
      : []),
    ...(update.length > 0
      ? [
          step(
            'update pads',
            `Pads ${list(update)} share the line of the receiver on the board: leave them free. To update the receiver, start the board with its boot button held, so that the processor keeps quiet meanwhile.`,
            'Two that talk on one line hear neither.',
          ),
        ]
      : []),
  ];
}

/** Pins of a part's own plug whose colour means something else to most people: a black supply, a ground that is not black. */
export function misleading(build: Build): { part: string; pin: string; colour: string; warning: string }[] {
  return build.parts.flatMap(({ peripheral }) =>
    peripheral.plugs
      .filter((p) => p.warning !== undefined)
      .flatMap((plug) => {
        const odd = plug.pins.filter(({ name, colour = '' }) => {
          const ground = /^(GND|G|-)$/i.test(name);
          const supply = /^(V|VCC|VIN|VBAT|5V|9V|\+|BAT)\+?$/i.test(name);
          if (ground) return colour !== '' && colour.toLowerCase() !== 'black';
          return supply ? /black|grey/i.test(colour) : /black|red|grey/i.test(colour);
        });
        const about = odd.length > 0 ? odd : plug.pins.slice(0, 1);
        return about.map(({ name, colour = '' }) => ({
          part: peripheral.name,
          pin: name,
          colour,
          warning: plug.warning!,
        }));
      }),
  );
}
