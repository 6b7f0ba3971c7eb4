/** The names of rows and tags of a hookup's problem, each made in one way, so that nobody takes them apart. */
export type RowKey =
  | `peak:${string}`
  | `steady:${string}`
  | `port:${string}`
  | `output:${string}`
  | `input:${string}`
  | `video:${string}`
  | `pad:${string}`
  | `address:${string}:${string}`
  | `side:${string}/${string}`
  | `heat:${string}`
  | `pin:${string}/${string}`
  | `ground:${string}`
  | 'usb';
export type TagKey =
  | `bridge:${string}`
  | `release:${string}`
  | `shared:${string}`
  | `timer:${string}`
  | `pad:${string}`
  | `feed:${string}`
  | `side:${string}/${string}`;

/** Milliamps of a rail, or of a part's output, at peak. */
export const peakRow = (rail: string): RowKey => `peak:${rail}`;
/** The same, steady. */
export const steadyRow = (rail: string): RowKey => `steady:${rail}`;
/** Under which name what several regulators carry together is summed up: no rail's id has a plus in it. */
export const togetherKey = (rails: readonly string[]): string => rails.join('+');
/** Steady milliamps of a linear regulator that is fed on one way. */
export const heatRow = (rail: string, way: string): RowKey => `heat:${rail}${way}`;
/** Milliamps over the pins by which a rail leaves the board in a plug, and back over the ground pins of that plug. */
export const pinRow = (rail: string, plug: string): RowKey => `pin:${rail}/${plug}`;
export const groundRow = (plug: string): RowKey => `ground:${plug}`;
/** Links on a group of like ports. */
export const portRow = (group: string): RowKey => `port:${group}`;
/** Wires on a group of like outputs. */
export const outputRow = (group: string): RowKey => `output:${group}`;
/** Wires on a group of like analogue inputs. */
export const inputRow = (group: string): RowKey => `input:${group}`;
/** The position of a bridge. */
export const bridgeKey = (bridge: string): TagKey => `bridge:${bridge}`;
/** Whether what takes a port is freed. */
export const releaseKey = (port: string): TagKey => `release:${port}`;
/** Where a part stands that feeds others. */
export const feedKey = (host: string): TagKey => `feed:${host}`;
/** The other side of the port that a link is on: once, and where that is. */
export type SideKey = `side:${string}/${string}`;
export const sideKey = (part: string, link: string): SideKey => `side:${part}/${link}`;
