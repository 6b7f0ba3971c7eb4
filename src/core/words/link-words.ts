import type { Link } from '../records/peripheral';
import { protocols } from '../trade/protocol';

const sides = {
  hear: 'a port that hears',
  talk: 'a port that talks',
  both: 'a port that hears and talks',
  'one wire': 'a port whose talking pad carries one wire both ways',
} as const;

/** What a link is, in plain words with the printed marking behind. */
export function linkWords(link: Link): string {
  switch (link.kind) {
    case 'serial': {
      const p = protocols[link.protocol];
      return `${p.says} (printed ${p.printed})`;
    }
    case 'i2c':
      return link.address === undefined ? 'I2C' : `I2C at address 0x${link.address.toString(16)}`;
    case 'can':
      return 'a CAN bus';
    case 'output':
      return `${link.count} ${link.use} output${link.count === 1 ? '' : 's'}`;
    case 'analogue':
      return `an input for ${link.input}`;
    case 'video':
      return link.role === 'camera'
        ? 'a camera input'
        : `a video output${link.overlay ? " with the board's overlay" : ''}`;
    case 'camera control':
      return 'a camera control pad';
    case 'buzzer':
      return 'a buzzer pad';
    case 'motor line':
      return link.carries === 'current' ? 'current of each motor over its wire' : 'revolutions over the motor wires';
  }
}

/** What a link asks of the board. */
export function linkNeeds(link: Link): string {
  return link.kind === 'serial' ? `${sides[protocols[link.protocol].wires]} for ${linkWords(link)}` : linkWords(link);
}
