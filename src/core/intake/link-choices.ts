import { analogueKinds } from '../records/board-lists';
import type { Link } from '../records/peripheral';
import { protocolIds, protocols } from '../trade/protocol';

type Bare<L> = L extends unknown ? Omit<L, 'id'> : never;
/** A link before it has an id within its part. */
type BareLink = Bare<Link>;

/** One thing that a part can ask of a board: a name for it, and how a person picks it from a list. */
export interface LinkChoice {
  id: string;
  says: string;
  link: BareLink;
}

/** All of them; an address or a number of outputs is set afterwards. */
export const linkChoices: readonly LinkChoice[] = [
  ...protocolIds.map((protocol): LinkChoice => ({
    id: `serial ${protocol}`,
    says: `${protocols[protocol].says} (printed ${protocols[protocol].printed})`,
    link: { kind: 'serial', protocol },
  })),
  { id: 'i2c', says: 'I2C', link: { kind: 'i2c' } },
  { id: 'can', says: 'CAN', link: { kind: 'can' } },
  ...(['servo', 'light', 'motor', 'channel in'] as const).map((use): LinkChoice => ({
    id: `output ${use}`,
    says: use === 'channel in' ? 'Receiver channels, a wire each' : `Outputs: ${use}`,
    link: { kind: 'output', use, count: 1 },
  })),
  ...analogueKinds.map((input): LinkChoice => ({
    id: `analogue ${input}`,
    says: `Input: ${input}`,
    link: { kind: 'analogue', input },
  })),
  { id: 'video camera', says: 'Camera input', link: { kind: 'video', role: 'camera', overlay: false } },
  {
    id: 'video transmitter overlay',
    says: "Video output with the board's overlay",
    link: { kind: 'video', role: 'transmitter', overlay: true },
  },
  { id: 'video transmitter', says: 'Video output', link: { kind: 'video', role: 'transmitter', overlay: false } },
  { id: 'camera control', says: 'Camera control pad', link: { kind: 'camera control' } },
  { id: 'buzzer', says: 'Buzzer pad', link: { kind: 'buzzer' } },
  {
    id: 'motor line revolutions',
    says: 'Revolutions over the motor wires',
    link: { kind: 'motor line', carries: 'revolutions' },
  },
  {
    id: 'motor line current',
    says: 'Current of each motor over its wire',
    link: { kind: 'motor line', carries: 'current' },
  },
];

/** Which of the choices a link is. */
export function choiceOf(link: Link): string {
  switch (link.kind) {
    case 'serial':
      return `serial ${link.protocol}`;
    case 'output':
      return `output ${link.use}`;
    case 'analogue':
      return `analogue ${link.input}`;
    case 'video':
      if (link.role === 'camera') return 'video camera';
      if (link.overlay) return 'video transmitter overlay';
      return 'video transmitter';
    case 'motor line':
      return `motor line ${link.carries}`;
    default:
      return link.kind;
  }
}

/** The links with one more of a choice, under an id that is free. */
export function withLink(links: readonly Link[], choice: string): Link[] {
  const found = linkChoices.find((c) => c.id === choice);
  if (!found) return [...links];
  let n = 1;
  while (links.some((l) => l.id === `wire${n}`)) n++;
  return [...links, { ...found.link, id: `wire${n}` } as Link];
}
