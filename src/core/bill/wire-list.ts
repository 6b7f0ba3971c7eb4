import type { Board } from '../records/board';
import type { Build, Part } from '../records/build';
import { wireColours } from '../trade/sundries';
import { gaugeFor, wireGramsPerM } from '../trade/wire';
import { suppliedName, type Hookup, type WiredSupply } from '../wiring/hookup';
import { groundFor } from '../circuit/ground-pads';
import { routeMm } from '../circuit/route';

export interface Wire {
  part: string;
  partName: string;
  /** As printed on the board, with the side it is on. */
  from: string;
  padId: string | null;
  face: 'top' | 'bottom';
  to: string;
  gauge: number;
  lengthMm: number;
  colour: string;
  grams: number;
  kind: 'signal' | 'supply' | 'ground';
  /** Where a colour of the part's own plug misleads. */
  warning?: string;
}

/** AWG of a wire that carries a signal: common practice, no source. */
const signalGauge = 28;

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
  return hookup.parts.flatMap((p) => {
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
        return wire(p.id, p.name, pad, `${p.name}, ${pinName(part, role)}`, signalGauge, said, 'signal', part);
      }),
    );
    for (const supply of p.supplies) {
      const gauge = supplyGauge(hookup, supply);
      const raw = board.rails.find((r) => r.id === supply.rail)?.source.kind === 'pack';
      const pad = supply.pads[0] ?? null;
      const from = pad === null ? supply.on : undefined;
      const name = suppliedName(p, supply);
      wires.push(
        wire(
          p.id,
          p.name,
          pad,
          `${name}, ${pinName(part, 'V+')}`,
          gauge,
          raw ? wireColours.pack : wireColours.supply,
          'supply',
          part,
          from,
        ),
      );
      wires.push(groundWire(p.id, name, part, pad, gauge, pad === null ? `${supply.on}, ground` : null));
    }
    // A picture carries its own ground beside it.
    for (const l of p.links)
      if (l.link.kind === 'video' && l.pads[0])
        wires.push(groundWire(p.id, `${p.name}, picture`, part, l.pads[0].pad, signalGauge, null));
    return wires;
  });

  /** The return of what leaves at a pad, on the ground that belongs to it. `from`: where the part is not fed from a pad. */
  function groundWire(
    partId: string,
    partName: string,
    part: Part | undefined,
    pad: string | null,
    gauge: number,
    from: string | null,
  ): Wire {
    const ground = from === null ? groundFor(board, pad) : null;
    const to = `${partName}, ${pinName(part, 'GND')}`;
    const said = from ?? (ground === null ? 'nearest ground pad' : undefined);
    return wire(partId, partName, ground, to, gauge, wireColours.ground, 'ground', part, said, pad);
  }

  function wire(
    partId: string,
    partName: string,
    padId: string | null,
    to: string,
    gauge: number,
    colour: string,
    kind: Wire['kind'],
    part: Part | undefined,
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
      from: from ?? (pad ? `${pad.label}${pad.face === 'bottom' ? ' (underside)' : ''}` : '?'),
      to,
      gauge,
      lengthMm,
      colour,
      kind,
      grams: (wireGramsPerM(gauge) * lengthMm) / 1000,
      ...(warning ? { warning } : {}),
    };
  }
}

/** The pin as the part's plug names it, or the role in plain words. */
function pinName(part: Part | undefined, role: 'TX' | 'RX' | 'GND' | 'V+' | 'signal'): string {
  const names = {
    TX: /^(TX|TXD|T)$/i,
    RX: /^(RX|RXD|R)$/i,
    GND: /^(GND|G|-)$/i,
    'V+': /^(V|VCC|VIN|5V|\+|BAT)\+?$/i,
    signal: /^(S|SIG|SIGNAL|DATA|PWM)$/i,
  }[role];
  const pin = part?.peripheral.plugs.flatMap((p) => p.pins).find((p) => names.test(p.name));
  return pin
    ? `pin ${pin.name}${pin.colour ? ` (${pin.colour} on its own plug)` : ''}`
    : { TX: 'what it sends', RX: 'what it hears', GND: 'ground', 'V+': 'supply', signal: 'signal' }[role];
}
