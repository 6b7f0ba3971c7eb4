/** The public face of the core: what the application, the workers and the command line may lean on. */
export { evaluate, type Climb, type Rung, type Verdict } from './climb';
export { rankClimbs, rankShelf, type Ranked } from './rank/rank-shelf';
export { scoreOf } from './rank/score';
export { tally, type Tally } from './rank/tally';
export { rungNames, type Finding, type RungName, type RungNumber, type RungState } from './check/finding';
export type { Ground } from './hookup/ground';
export type { Hookup } from './hookup/hookup';
export { fileSchemas, jsonSchemaOf, readData, readFile, type Fault, type FileFormat, type Read, type RungFile } from './model/file';
export type { Board } from './model/board';
export type { Build, Part, Priority } from './model/build';
export type { Peripheral } from './model/peripheral';
export type { Shelf } from './model/shelf';
export { findFixes, fixWords, type FixSet } from './fix/find';
export { alternativesOf, bridgeAlternativesOf, priceOfLocks, sameNeed, type Alternative, type Price } from './hookup/alternatives';
export { priceWords } from './hookup/price-words';
export type { Lock } from './model/build';
export type { Fix } from './model/fix';
