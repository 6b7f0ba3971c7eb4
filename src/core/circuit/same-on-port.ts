import type { Board, Port } from '../records/board';

/** Ways are worked out for the first of alike ports. What they say of it and of its pads is said of the same places on the port that was handed out. */
export function sameOnPort(board: Board, first: Port, port: Port): (text: string) => string {
  if (first === port) return (text) => text;
  const label = (pad: string) => board.pads.find((p) => p.id === pad)?.label ?? pad;
  const names = new Map([[first.label, port.label]]);
  for (const side of ['rx', 'tx'] as const)
    first[side].forEach((end, i) => names.set(label(end.pad), label(port[side][i]!.pad)));
  const words = [...names.keys()]
    .sort((a, b) => b.length - a.length)
    .map((name) => name.replace(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`));
  const pattern = new RegExp(String.raw`(?<!\w)(?:${words.join('|')})(?!\w)`, 'g');
  return (text) => text.replace(pattern, (name) => names.get(name)!);
}
