/**
 * The serial protocols of the trade, seen from the board.
 * Speeds and senses: common practice of the trade, no source, recalled from memory, except NMEA (IEC 61162-1).
 */
export const protocolIds = [
  'inverted-rc',
  'one-wire-rc-telemetry',
  'two-wire-rc',
  'plain-rc',
  'one-wire-telemetry',
  'transmitter-control-a',
  'transmitter-control-b',
  'esc-telemetry',
  'overlay-link',
  'ground-link',
  'positioning',
  'range-finder',
  'recorder',
  'gimbal-control',
  'pulse-train',
] as const;
export type ProtocolId = (typeof protocolIds)[number];

/** Which sides of a port the link needs: the board hears, talks, does both on two wires, or both on one. */
export type Wires = 'hear' | 'talk' | 'both' | 'one wire';

export interface Protocol {
  id: ProtocolId;
  /** What it is, in plain words. */
  says: string;
  /** The marking that pads of the trade carry for it. */
  printed: string;
  wires: Wires;
  sense: 'plain' | 'inverted';
  baud: number;
  frame: '8N1' | '8E2' | '8N2';
  /** Carries the sticks: never on soft serial. */
  control: boolean;
  /** What is given up when the board can only hear, where that works at all. */
  hearOnlyLoses?: string;
  /** Protocols that may use the other side of the same port: same speed, frame and sense, opposite sides. */
  sharesWith: readonly ProtocolId[];
  /** Needs no serial port: any timer input hears it. */
  onTimerPad?: boolean;
}

const table: Protocol[] = [
  {
    id: 'inverted-rc',
    says: 'Inverted RC serial',
    printed: 'SBUS',
    wires: 'hear',
    sense: 'inverted',
    baud: 100_000,
    frame: '8E2',
    control: true,
    sharesWith: [],
  },
  {
    id: 'one-wire-rc-telemetry',
    says: 'RC and telemetry on one inverted wire',
    printed: 'F.Port',
    wires: 'one wire',
    sense: 'inverted',
    baud: 115_200,
    frame: '8N1',
    control: true,
    sharesWith: [],
  },
  {
    id: 'two-wire-rc',
    says: 'Two-wire RC link',
    printed: 'CRSF',
    wires: 'both',
    sense: 'plain',
    baud: 420_000,
    frame: '8N1',
    control: true,
    sharesWith: [],
  },
  {
    id: 'plain-rc',
    says: 'Plain RC serial',
    printed: 'IBUS',
    wires: 'hear',
    sense: 'plain',
    baud: 115_200,
    frame: '8N1',
    control: true,
    sharesWith: ['recorder'],
  },
  {
    id: 'one-wire-telemetry',
    says: 'Telemetry on one inverted wire',
    printed: 'S.Port',
    wires: 'one wire',
    sense: 'inverted',
    baud: 57_600,
    frame: '8N1',
    control: false,
    sharesWith: [],
  },
  {
    id: 'transmitter-control-a',
    says: 'Transmitter control, one wire, two stop bits',
    printed: 'SA',
    wires: 'one wire',
    sense: 'plain',
    baud: 4_800,
    frame: '8N2',
    control: false,
    sharesWith: [],
  },
  {
    id: 'transmitter-control-b',
    says: 'Transmitter control, one way',
    printed: 'TRAMP',
    wires: 'one wire',
    sense: 'plain',
    baud: 9_600,
    frame: '8N1',
    control: false,
    sharesWith: [],
  },
  {
    id: 'esc-telemetry',
    says: 'ESC telemetry, one way',
    printed: 'TLM',
    wires: 'hear',
    sense: 'plain',
    baud: 115_200,
    frame: '8N1',
    control: false,
    sharesWith: ['recorder'],
  },
  {
    id: 'overlay-link',
    says: 'Overlay link to digital video',
    printed: 'MSP',
    wires: 'both',
    sense: 'plain',
    baud: 115_200,
    frame: '8N1',
    control: false,
    sharesWith: [],
  },
  {
    id: 'ground-link',
    says: 'Ground-station link',
    printed: 'MAV',
    wires: 'both',
    sense: 'plain',
    baud: 57_600,
    frame: '8N1',
    control: false,
    sharesWith: [],
  },
  {
    id: 'positioning',
    says: 'Positioning link',
    printed: 'GPS',
    wires: 'both',
    sense: 'plain',
    baud: 115_200,
    frame: '8N1',
    control: false,
    hearOnlyLoses: 'the board cannot configure the positioning module',
    sharesWith: [],
  },
  {
    id: 'range-finder',
    says: 'Range finder, one way',
    printed: 'LIDAR',
    wires: 'hear',
    sense: 'plain',
    baud: 115_200,
    frame: '8N1',
    control: false,
    sharesWith: ['recorder'],
  },
  {
    id: 'recorder',
    says: 'Flight recorder, one way',
    printed: 'LOG',
    wires: 'talk',
    sense: 'plain',
    baud: 115_200,
    frame: '8N1',
    control: false,
    sharesWith: ['esc-telemetry', 'range-finder', 'plain-rc'],
  },
  {
    id: 'gimbal-control',
    says: 'Gimbal control, one way',
    printed: 'GMB',
    wires: 'talk',
    sense: 'plain',
    baud: 19_200,
    frame: '8N1',
    control: false,
    sharesWith: [],
  },
  {
    id: 'pulse-train',
    says: 'All channels as one pulse train',
    printed: 'PPM',
    wires: 'hear',
    sense: 'plain',
    baud: 0,
    frame: '8N1',
    control: true,
    sharesWith: [],
    onTimerPad: true,
  },
];

export const protocols: Readonly<Record<ProtocolId, Protocol>> = Object.fromEntries(
  table.map((p) => [p.id, p]),
) as Record<ProtocolId, Protocol>;

/** Above this, bit timing by interrupt is lost. Common practice of the trade, no source. */
export const softSerialMaxBaud = 19_200;

/** May this protocol run on a spare timer pad without a serial port behind it? */
export function softSerialCarries(protocol: Protocol): boolean {
  return !protocol.control && protocol.sense === 'plain' && protocol.baud <= softSerialMaxBaud;
}

/** May the two links use the two sides of one port? */
export function mayShare(a: Protocol, b: Protocol): boolean {
  return (
    a.sharesWith.includes(b.id) &&
    b.sharesWith.includes(a.id) &&
    a.baud === b.baud &&
    a.frame === b.frame &&
    a.sense === b.sense &&
    a.wires !== b.wires
  );
}
