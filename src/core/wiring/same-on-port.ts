import type { Board, Port } from '../records/board';
import { onOtherPort, type Reason } from './reason';
import type { Condition } from './way';

/** Ways are worked out for the first of alike ports. What they say of it and of its pads is said of the same places on the port that was handed out. */
export function sameOnPort(
  board: Board,
  first: Port,
  port: Port,
): { reason: (r: Reason) => Reason; condition: (c: Condition) => Condition } {
  if (first === port) return { reason: (r) => r, condition: (c) => c };
  const padOf = (id: string) => {
    const there = (['rx', 'tx'] as const).flatMap((side) =>
      first[side].flatMap((end, i) => (end.pad === id ? [port[side][i]!.pad] : [])),
    )[0];
    const pad = board.pads.find((p) => p.id === (there ?? id));
    return { id: there ?? id, label: pad?.label ?? id };
  };
  const reason = (r: Reason) => onOtherPort(r, { id: port.id, label: port.label }, padOf);
  const condition = (c: Condition): Condition => {
    const said = reason(c.reason);
    // A figure of the pad is called after the pad.
    const grounds =
      said.code === 'pad stands the signal'
        ? c.grounds?.map((g) => ({ ...g, what: `${said.pad.label} stands` }))
        : c.grounds;
    return { ...c, reason: said, ...(grounds ? { grounds } : {}) };
  };
  return { reason, condition };
}
