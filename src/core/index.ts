/** The public face of the core: what the application, the workers and the command line may lean on. */
export { evaluate, type Climb, type Rung, type Verdict } from './climb';
export type { GeneralSolver } from './solver/budget';
export { rankClimbs, rankShelf, type Mended, type Ranked } from './rank/rank-shelf';
export { whatMoved, type Moved } from './rank/moved';
export { schools, type School } from './trade/school';
export { isStale } from './trade/offer';
export { places, usualPlace } from './trade/place';
export type { Policies } from './model/policy';
export { doubtsAbout } from './check/sanity';
export { buildQuestionsFor, kindest, withBuildFigure, type BuildQuestion } from './rank/build-questions';
export { questionsFor, type Question } from './rank/questions';
export { robustnessOf, type Robustness } from './rank/robustness';
export { tippingPoints, type Tipping } from './rank/sensitivity';
export { frontierOf, type Standing } from './rank/frontier';
export { sideBySide } from './rank/side-by-side';
export { pickOf, stillStands } from './rank/pick';
export type { Entry } from './model/build';
export { tally } from './rank/tally';
export { money } from './check/cost';
export { carries, leadWords, outcomeWords } from './outcome';
export { mayHaveMore } from './hookup/all-pads';
export { portSums } from './hookup/port-sums';
export { commonBreak } from './rank/common-break';
export { overBudget } from './rank/over-budget';
export { counted, rungNames, type Finding, type RungName, type RungState } from './check/finding';
export type { Ground } from './hookup/ground';
export type { Hookup } from './hookup/hookup';
export { outlineOf, placePads, type PlacedPad } from './hookup/place-pads';
export {
  fileSchemas,
  jsonSchemaOf,
  readData,
  readFile,
  type Fault,
  type FileFormat,
  type Read,
  type RungFile,
} from './model/file';
export { idFrom } from './model/words';
export { boardKinds, filledIn, type Board } from './model/board';
export { figureWords } from './model/figure';
export type { Build, Part, Priority } from './model/build';
export { numbered } from './model/part-names';
export { kindMeant } from './intake/kind-words';
export { readPartsList } from './intake/parts-list';
export { readSpec } from './intake/read-spec';
export { specUnits, type Reading } from './intake/reading';
export { applyReadings } from './intake/apply-readings';
export { withOffer, withoutOffer, withTypedOffers } from './intake/typed-offer';
export { correctReading, readingText } from './intake/correct-reading';
export { boardFigures, completenessOf, railFigures, type BoardFigure, type Completeness } from './intake/figures';
export { withTyped } from './intake/typed-figure';
export { newOwnEsc } from './intake/new-own-esc';
export { sides, type Side } from './model/words';
export { addGroup, addSupplyPad, newBoard, ofKind, padGroups, removePad, type PadGroup } from './intake/new-board';
export {
  addBridge,
  changeBridge,
  mayFeed,
  feedRail,
  putPlug,
  railSourceOf,
  railSources,
  removeBridge,
  removeRail,
  takePort,
} from './intake/edit-circuit';
export { differencesOf } from './intake/differences';
export { boardsToCsv, peripheralsToCsv, tableSchema, type RowFault } from './intake/csv';
export { readShelfFile, type ShelfFile } from './intake/shelf-file';
export { basketCsv, basketOf, eurosOf, orderFor, type BasketLine } from './sheet/basket';
export { csvLines } from './sheet/csv-lines';
export { buildSheet, sheetMarkdown, type BuildSheet, type Step } from './sheet/build-sheet';
export { arrivesOn, currentScale, logCsv, logMarkdown, measurable, voltageScale, withReading } from './sheet/logbook';
export { powerUp } from './bench/power-up';
export { deskState } from './bench/desk';
export { assumedCell, sagOver } from './bench/sag';
export { faultsFor, probesWith, stillPossible } from './bench/faults';
export { peripheralKinds, type Link, type Peripheral, type PeripheralKind } from './model/peripheral';
export { choiceOf, linkChoices, withLink } from './intake/link-choices';
export { forLibrary, ownPart, unsaidSupply } from './intake/own-part';
export type { Shelf } from './model/shelf';
export { findFixes, fixWords } from './fix/find';
export { alternativesOf, bridgeAlternativesOf, priceOfLocks, sameNeed } from './hookup/alternatives';
export { priceWords } from './hookup/price-words';
export type { Lock } from './model/build';
export type { Fix } from './model/fix';
