import type { WiredSupply } from '../wiring/hookup';

/** Nodes by their names: what pads and pins of a hookup are in the circuit. */
export const nodeOf = {
  /** Plus pads of the pack on the board. */
  pack: 'pack',
  boardGround: 'gnd',
  usb: 'usb',
  rail: (id: string) => `rail ${id}`,
  /** A rail's id, or the name of another part's output. */
  feed: ({ rail, output }: Pick<WiredSupply, 'rail' | 'output'>) =>
    output === undefined ? `rail ${rail}` : `output ${output}`,
  plus: (part: string, supply: string) => `${part} ${supply} +`,
  minus: (part: string, supply: string) => `${part} ${supply} -`,
  signal: (pad: string) => `pad ${pad}`,
};

export const elementOf = {
  pack: 'pack',
  usb: 'usb',
  motors: 'motors',
  regulator: (rail: string) => `regulator ${rail}`,
  wire: (part: string, supply: string) => `wire ${part} ${supply}`,
  back: (part: string, supply: string) => `return ${part} ${supply}`,
  load: (part: string, supply: string) => `load ${part} ${supply}`,
  /** The part's own end of a signal: where it drives the line, and where it hears it. */
  partSends: (part: string, link: string, pad: string) => `sends ${part} ${link} ${pad}`,
  partHears: (part: string, link: string, pad: string) => `hears ${part} ${link} ${pad}`,
};
