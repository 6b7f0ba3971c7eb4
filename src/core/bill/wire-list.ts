import type { Board } from '../records/board';
import type { Build, Part } from '../records/build';
import { wireColours } from '../trade/sundries';
import { gaugeFor, wireGramsPerM } from '../trade/wire';
import type { Hookup, WiredSupply } from '../wiring/hookup';
import { groundFor } from '../circuit/ground-pads';
import { padWords } from '../circuit/pad-words';
import { routeMm } from '../circuit/route';
import { asItLies } from '../circuit/turn';
import { memberWires } from './member-wires';
import { signalGauge, type PartPin, type Wire } from './wire';

export type { Wire } from './wire';

/** Amps that a wire is made for where nobody says what hangs on it, and no regulator sets an end: our own choice, no source. */
const assumedAmps = 5;

/** AWG of a supply wire. Where nobody says what the part draws, it carries all that the regulator gives. */
export function supplyGauge(hookup: Hookup, supply: WiredSupply): number {
  if (!supply.unsaid) return supply.gauge;
  const most = [...hookup.rails, ...hookup.outputs].find((r) => r.rail === (supply.output ?? supply.rail))?.printedMa;
  return gaugeFor(most ? most / 1000 : assumedAmps) ?? 10;
}

/** Every wire of the hookup with its ground return, part by part: from which pad, to which pin, gauge, length and colour. */
export function wireList(build: Build, board: Board, hookup: Hookup): Wire[] {
  const onGround = new Map<string, number>();
  const lying = asItLies(build, board);
  const toParts = hookup.parts.flatMap((p) => {
    const part = build.parts.find((x) => x.id === p.id);
    const wires: Wire[] = p.links.flatMap((l) =>
      l.pads.map(({ pad, does }) => {
        const hears = does === 'board hears';
        let role: 'TX' | 'RX' | 'signal';
        if (l.pads.length > 1 || l.link.kind === 'serial') {
          if (hears) role = 'TX';
          else if (does === 'board talks') role = 'RX';
          else role = 'signal';
        } else role = 'signal';
        let said: string;
        if (hears) said = wireColours.hears;
        else if (does === 'board talks') said = wireColours.talks;
        else said = wireColours.other;
        const pin = l.link.kind === 'i2c' || l.link.kind === 'can' ? busPin(board, part, pad) : pinName(part, role);
        return wire(p.id, p.name, pad, pin, signalGauge, said, 'signal', part, `${p.id}/${l.id}/${pad}`);
      }),
    );
    for (const supply of p.supplies) {
      const gauge = supplyGauge(hookup, supply);
      const raw = board.rails.find((r) => r.id === supply.rail)?.source.kind === 'pack';
      const pad = supply.pads[0] ?? null;
      // A pad that a fix brings is not on the board as it is bought.
      const from = board.pads.some((x) => x.id === pad) ? undefined : supply.on;
      wires.push(
        wire(
          p.id,
          p.name,
          pad,
          { ...pinName(part, 'V+'), ...(supply.which === undefined ? {} : { of: supply.which }) },
          gauge,
          raw ? wireColours.pack : wireColours.supply,
          'supply',
          part,
          supply.rail,
          from,
        ),
      );
      wires.push(
        groundWire(p.id, p.name, part, pad, gauge, from === undefined ? null : `${from}, ground`, supply.which),
      );
    }
    // A picture carries its own ground beside it.
    for (const l of p.links)
      if (l.link.kind === 'video' && l.pads[0])
        wires.push(groundWire(p.id, p.name, part, l.pads[0].pad, signalGauge, null, 'picture'));
    return wires;
  });
  return [...memberWires(build, lying, hookup), ...toParts];

  /** The return of what leaves at a pad, on the ground that belongs to it. `from`: where the part is not fed from a pad. */
  function groundWire(
    partId: string,
    partName: string,
    part: Part | undefined,
    pad: string | null,
    gauge: number,
    from: string | null,
    of: string | undefined,
  ): Wire {
    const ground = from === null ? groundFor(board, pad, onGround) : null;
    if (ground !== null) onGround.set(ground, (onGround.get(ground) ?? 0) + 1);
    const to = { ...pinName(part, 'GND'), ...(of === undefined ? {} : { of }) };
    const said = from ?? (ground === null ? 'nearest ground pad' : undefined);
    return wire(partId, partName, ground, to, gauge, wireColours.ground, 'ground', part, 'ground', said, pad);
  }

  function wire(
    partId: string,
    partName: string,
    padId: string | null,
    pin: PartPin,
    gauge: number,
    colour: string,
    kind: Wire['kind'],
    part: Part | undefined,
    net: string,
    from?: string,
    groundAs?: string | null,
  ): Wire {
    const pad = board.pads.find((x) => x.id === padId);
    const lengthMm = routeMm(build, board, part, padId ?? groundAs ?? null);
    const warning = part?.peripheral.plugs.find((x) => x.warning)?.warning;
    return {
      part: partId,
      partName,
      padId,
      face: pad?.face ?? 'top',
      from: from ?? (pad ? padWords(lying, pad.id) : '?'),
      to: `${partName}${pin.of === undefined ? '' : ` (${pin.of})`}, ${pinWords(pin)}`,
      pin,
      net,
      gauge,
      lengthMm,
      colour,
      kind,
      grams: (wireGramsPerM(gauge) * lengthMm) / 1000,
      ...(warning ? { warning } : {}),
    };
  }
}

/** The two lines of a bus are not alike: each is called as the board prints it, by the part's own pin of that name where it has one. */
function busPin(board: Board, part: Part | undefined, padId: string): PartPin {
  const label = board.pads.find((x) => x.id === padId)?.label ?? 'bus';
  const own = ownPins(part).find((p) => p.name.toLowerCase() === label.toLowerCase());
  return own ?? { name: label };
}

function ownPins(part: Part | undefined): PartPin[] {
  const pins = part?.peripheral.plugs.flatMap((p) => p.pins) ?? [];
  return pins.map(({ name, colour }) => ({ name, colour: colour ?? '' }));
}

/** In words, as a line of the sheet has it. */
function pinWords({ name, colour }: PartPin): string {
  if (colour === undefined) return name;
  return `pin ${name}${colour ? ` (${colour} on its own plug)` : ''}`;
}

/** The pin as the part's plug names it, or the role in plain words. */
function pinName(part: Part | undefined, role: 'TX' | 'RX' | 'GND' | 'V+' | 'signal'): PartPin {
  const names = {
    TX: /^(TX|TXD|T)$/i,
    RX: /^(RX|RXD|R)$/i,
    GND: /^(GND|G|-)$/i,
    'V+': /^(V|VCC|VIN|5V|\+|BAT)\+?$/i,
    signal: /^(S|SIG|SIGNAL|DATA|PWM)$/i,
  }[role];
  const said = { TX: 'what it sends', RX: 'what it hears', GND: 'ground', 'V+': 'supply', signal: 'signal' };
  return ownPins(part).find((p) => names.test(p.name)) ?? { name: said[role] };
}
