import { mayHaveMore } from '../circuit/all-pads';
import type { Part } from '../records/build';
import type { Mode } from '../records/peripheral';
import { counted } from '../quantity/spelled';
import { mayShare, protocols, softSerialCarries } from '../trade/protocol';
import { leastOf, type BriefLine } from './brief-line';

type SerialLink = Extract<Mode['links'][number], { kind: 'serial' }>;

/** Links that nothing but a side of a port can carry. */
function portLinks(mode: Mode, side: 'rx' | 'tx'): SerialLink[] {
  return mode.links.filter((l): l is SerialLink => {
    if (l.kind !== 'serial' || l.protocol === 'esc-telemetry') return false;
    const p = protocols[l.protocol];
    if (p.onTimerPad || softSerialCarries({ ...p, sense: l.sense ?? p.sense })) return false;
    if (p.wires === 'one wire') return false;
    return side === 'rx' ? p.wires !== 'talk' : p.wires === 'talk' || (p.wires === 'both' && !p.hearOnlyLoses);
  });
}

export function portLines(musts: readonly Part[]): BriefLine[] {
  return (['rx', 'tx'] as const).flatMap((side): BriefLine[] => {
    const asking = musts.filter((p) => leastOf(p, (m) => portLinks(m, side).length) > 0);
    const needed = asking.reduce((sum, p) => sum + leastOf(p, (m) => portLinks(m, side).length), 0);
    if (needed === 0) return [];
    const verb = side === 'rx' ? 'hear' : 'talk';
    return [
      {
        id: `ports ${verb}`,
        asks: `${counted(needed, 'serial port')} that ${needed === 1 ? `${verb}s` : verb}, free or to be freed`,
        because: asking.map((p) => p.peripheral.name),
        lower: side === 'rx' ? 'a part on a bus, or one that only talks' : null,
        fails: (board) => {
          if (mayHaveMore(board)) return false;
          const there = board.ports.filter(
            (p) => p[side].length > 0 && (!p.taken || p.taken.release || p.taken.carries),
          );
          return there.length < needed;
        },
      },
    ];
  });
}

/** A link that needs both directions has them on one port. */
export function bothWayLines(musts: readonly Part[]): BriefLine[] {
  const both = (mode: Mode) =>
    portLinks(mode, 'rx').filter((l) => protocols[l.protocol].wires === 'both' && !protocols[l.protocol].hearOnlyLoses)
      .length;
  const asking = musts.filter((p) => leastOf(p, both) > 0);
  const needed = asking.reduce((sum, p) => sum + leastOf(p, both), 0);
  if (needed === 0) return [];
  return [
    {
      id: 'ports both ways',
      asks: `${counted(needed, 'serial port')} with both directions on pads`,
      because: asking.map((p) => p.peripheral.name),
      lower: null,
      fails: (board) =>
        !mayHaveMore(board) && board.ports.filter((p) => p.rx.length > 0 && p.tx.length > 0).length < needed,
    },
  ];
}

/** One that only hears and one that only talks may share a port, where their protocols allow it; all others need one each. */
export function portsInAll(musts: readonly Part[]): BriefLine[] {
  const alone = musts.flatMap((part) => {
    const [mode, ...others] = part.peripheral.modes;
    return others.length === 0
      ? [...portLinks(mode!, 'rx'), ...portLinks(mode!, 'tx')].map((link) => ({ part, link }))
      : [];
  });
  // A link of both directions stands among those that hear and those that talk.
  const links = alone.filter((a, i) => alone.findIndex((b) => b.part === a.part && b.link.id === a.link.id) === i);
  const shareable = links.filter(({ link }) =>
    links.some((other) => other.link !== link && mayShare(protocols[link.protocol], protocols[other.link.protocol])),
  ).length;
  const needed = links.length - Math.floor(shareable / 2);
  if (needed < 2) return [];
  return [
    {
      id: 'ports in all',
      asks: `${counted(needed, 'serial port')} in all, free or to be freed`,
      because: [...new Set(links.map((l) => l.part.peripheral.name))],
      lower: 'parts on a bus, or that share a port',
      fails: (board) =>
        !mayHaveMore(board) &&
        board.ports.filter((p) => p.rx.length + p.tx.length > 0 && (!p.taken || p.taken.release || p.taken.carries))
          .length < needed,
    },
  ];
}

/** A link on one wire sits on a pad that talks, or on an output that can stand in for a port. */
export function oneWireLines(musts: readonly Part[]): BriefLine[] {
  const one = (mode: Mode) =>
    mode.links.filter((l) => l.kind === 'serial' && protocols[l.protocol].wires === 'one wire').length;
  const asking = musts.filter((p) => leastOf(p, one) > 0);
  if (asking.length === 0) return [];
  return [
    {
      id: 'one wire',
      asks: 'a port that talks, or an output that can be a soft serial port',
      because: asking.map((p) => p.peripheral.name),
      lower: null,
      fails: (board) =>
        !mayHaveMore(board) &&
        board.ports.every((p) => p.tx.length === 0 || (p.taken && !p.taken.release && !p.taken.carries)) &&
        board.outputs.every((o) => !o.can.includes('soft serial')),
    },
  ];
}
