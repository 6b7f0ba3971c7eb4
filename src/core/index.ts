/** The public face of the core: what the application, the workers and the command line may lean on. */
export { keepingWhatIsEqual, newMemory, type Memory } from './evaluate/memory';
export { evaluate, notClimbed, type Climb, type Verdict } from './evaluate/climb';
export { stoppedEarly } from './evaluate/stopped-early';
export type { GeneralSolver } from './solver/budget';
export { rankClimbs, rankShelf, type Mended, type Ranked } from './decide/rank-shelf';
export { whatMoved, type Moved } from './decide/moved';
export { schools, type School } from './trade/school';
export { isStale } from './trade/offer';
export { places, usualPlace } from './trade/place';
export type { Policies } from './trade/policies';
export { doubtsAbout } from './rungs/sanity';
export { buildQuestionsFor, kindest, withBuildFigure, type BuildQuestion } from './decide/build-questions';
export { questionsFor, type Question } from './decide/questions';
export { setsInQuestion } from './decide/sets-in-question';
export { robustnessOf, type Robustness } from './decide/robustness';
export { tippingPoints, type Tipping } from './decide/sensitivity';
export { frontierOf, standingsCsv, type Standing } from './decide/frontier';
export { goodEnds, type GoodEnds } from './decide/good-ends';
export { sieveOf, siftedOut } from './decide/sieve';
export type { Bound } from './decide/brief-line';
export { likelyFirst, manyBoards, mostRemembered, mostSetsOfMany, slimmed } from './decide/slim';
export { assumedIn } from './decide/assumed-in';
export { buildDoubts } from './decide/build-doubts';
export { rankedRow, tellingRung, type RankedRow } from './decide/telling-rung';
export { sideBySide } from './decide/side-by-side';
export { pickMoved } from './decide/pick-moved';
export { pickedId, pickedName, pickOf, stillStands } from './decide/pick';
export { bestWith } from './decide/best-with';
export { bestSets, searchSets, type MemberOut } from './decide/best-sets';
export { newSetMemory } from './decide/set-memory';
export { whatClimbs } from './evaluate/what-climbs';
export { undecidedBoards, type Undecided } from './decide/undecided';
export { withoutSet, withSet } from './sets/kept';
export { candidateAt } from './sets/candidate';
export { isCandidate, roleOf } from './sets/roles';
export { boardIdsIn, isSetId, setId } from './sets/set-id';
export type { Entry } from './records/build';
export { mayWantAerial } from './bill/unlisted';
export { flag } from './quantity/truth';
export { tally } from './decide/tally';
export { centsOf, currencySign, euro, money, plainMoney } from './quantity/money';
export { buildInCurrency, currencyOf, leastOffer, partInMoneyOf } from './bill/exchange';
export { carries, leadWords, outcomeWords } from './evaluate/outcome';
export { mayHaveMore } from './circuit/all-pads';
export { portSums } from './wiring/port-sums';
export { commonBreak } from './decide/common-break';
export { overBudget } from './decide/over-budget';
export { counted, list } from './quantity/spelled';
export { rungNames, type Finding, type RungName, type RungState } from './rungs/finding';
export type { Ground } from './quantity/ground';
export type { Hookup } from './wiring/hookup';
export { asItLies, lieOf } from './circuit/turn';
export { outlineOf, placePads, type PlacedPad } from './circuit/place-pads';
export {
  fileSchemas,
  jsonSchemaOf,
  readData,
  readFile,
  type FileFormat,
  type Read,
  type RungFile,
} from './records/file';
export type { Fault } from './records/fault';
export { idFrom, newestVersion } from './records/words';
export { boardKinds, signalRates } from './records/board-lists';
export { filledIn, type Board } from './records/board';
export { figureWords, typedOver } from './quantity/figure';
export { escArrangements, planNumbers, type Build, type Part, type PlanNumber, type Priority } from './records/build';
export { planFigures, withOwnWord } from './figures/plan-figures';
export { numbered } from './records/part-names';
export { typedNumber, unitsFor } from './intake/typed-number';
export { flyers, startingCraft, startingKinds, usualPlan, type StartingKind } from './intake/starting-craft';
export {
  startingParts,
  startingPartsFor,
  startingPartsOf,
  startingPartWords,
  type StartingPart,
} from './intake/starting-parts';
export { kindMeant } from './intake/kind-words';
export { readPartsList } from './intake/parts-list';
export { readSpec } from './intake/read-spec';
export { fromHtml, isHtml } from './intake/pages/from-html';
export { joined } from './intake/pages/joined';
export { evenLight } from './intake/pictures/even-light';
export { greyOf } from './intake/pictures/grey';
export { heldAgainst } from './intake/pictures/second-look';
export { sheetIn } from './intake/pictures/sheet';
export { straightened } from './intake/pictures/straightened';
export { withoutRules } from './intake/pictures/without-rules';
export { laidOut } from './intake/pages/laid-out';
export type { Page, Word } from './intake/pages/page';
export { withPictureOfPage } from './intake/pages/kept-source';
export type { Place } from './quantity/place';
export { doubtedByHabit, habitsOf, withCorrection, withoutHabit } from './intake/habits';
export { withReadings } from './intake/pages/with-readings';
export { ruleOfWords } from './quantity/word';
export { readPinout, type PadRead } from './intake/pinout/read-pinout';
export { withPinout } from './intake/pinout/with-pinout';
export { readPinOrders, withPinOrder, type PinOrder } from './intake/pinout/pin-orders';
export { beside } from './intake/exchange/beside';
export { metOnShelf, type Met } from './intake/exchange/met-on-shelf';
export { publicBoard } from './intake/exchange/public-board';
export { sealed, sealOf, type Seal } from './intake/exchange/seal';
export { unitedBoard } from './intake/exchange/united';
export { listedReadings, versionsIn } from './intake/listed-readings';
export { readHoles, withHoles, type HolesRead } from './intake/read-holes';
export { readBridges, type BridgeRead } from './intake/circuit-words/read-bridges';
export { readParcel, type ParcelRead } from './intake/circuit-words/read-parcel';
export { readSupplies, type SuppliesRead } from './intake/circuit-words/read-supplies';
export { withBridge, withParcel, withSupplies } from './intake/circuit-words/with-circuit-words';
export { readOffer, type OfferRead } from './intake/read-offer';
export { partPageWords, readPartPage, saysSomething, withPartPage } from './intake/part-page';
export { specUnit, type Reading } from './intake/reading';
export { withOffer, withoutOffer, withTypedOffers } from './intake/typed-offer';
export { correctReading, readingText } from './intake/correct-reading';
export { figuresOf, type BoardFigure } from './figures/board-figures';
export { railFigures } from './figures/rail-figures';
export { completenessOf, type Completeness } from './figures/completeness';
export { ifWordCounts } from './intake/if-word-counts';
export { withTyped, withWordCounting } from './intake/typed-figure';
export { newOwnEsc } from './intake/new-own-esc';
export { byReason, type Step } from './guide/step';
export { currencySchema, ratesSchema } from './records/currency';
export { storableJson } from './records/storable';
export { patternWords } from './trade/frame';
export { packsOf } from './circuit/packs';
export { chemistries } from './trade/cell';
export { sides, type Side } from './records/words';
export {
  addGroup,
  addSupplyPad,
  freeId,
  newBoard,
  ofKind,
  padGroups,
  removePad,
  type PadGroup,
} from './records/new-board';
export { unknownPattern } from './records/unknown-figures';
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
  shareRails,
} from './intake/edit-circuit';
export { differencesOf } from './intake/differences';
export { buildChanges, buildDifferences } from './intake/build-differences';
export { mergeBuilds } from './intake/merge-builds';
export { boardChanges } from './intake/board-changes';
export { buildStands, type BuildStands, type NextAct } from './decide/build-stands';
export { boardsToCsv, peripheralsToCsv, tableSchema, type RowFault } from './intake/csv';
export { readShelfFile, type ShelfFile } from './intake/shelf-file';
export {
  basketCsv,
  basketOf,
  boardKey,
  priceOf,
  unlistedSpan,
  orderFor,
  shippingOf,
  type BasketLine,
} from './bill/basket';
export { withAtHome } from './bill/at-home';
export { csvLines } from './records/csv-lines';
export { buildSheet, harnessOf, sheetMarkdown, sheetSteps, type BuildSheet } from './guide/build-sheet';
export { arrivesOn, currentScale, logCsv, logMarkdown, measurable, voltageScale, withReading } from './guide/logbook';
export { briefOf, briefText, failedLines } from './decide/brief';
export { deskState, onTheDesk } from './bench/desk';
export { faultsFor, type BenchFault } from './bench/faults';
export { firstPower, type Plugging } from './bench/first-power';
export { flightTime, type FlightTime } from './bench/flight-time';
export { figuresRead, firstSpots, meterReads, spotsOn, voltsAt, type MeterKind, type Spot } from './bench/meter';
export { benchOf } from './bench/on-the-bench';
export { hiddenIn, roundsFor, scoreOf, secondsOf, shortestWay, stillPossible, type Rounds } from './bench/practice';
export { whatReadingSays } from './bench/reading-says';
export { probesWith, readsAlike, stateWith, type Probe } from './bench/probes';
export { assumedCell, overThrottle, punchOut, type Charge } from './bench/throttle';
export { auditScenes, benchScene } from './simulate/scene';
export { hookupNetlist } from './simulate/hookup-netlist';
export { spiceNetlist } from './simulate/spice';
export { type Link, type Peripheral } from './records/peripheral';
export { peripheralKinds, type PeripheralKind } from './trade/peripheral-kind';
export { choiceOf, linkChoices, withLink } from './intake/link-choices';
export { asKind, forLibrary, ownPart, unsaidSupply } from './intake/own-part';
export type { Shelf } from './records/shelf';
export { findFixes, fixWords, type FixSet } from './decide/find-fixes';
export { alternativesOf, bridgeAlternativesOf, priceOfLocks, sameNeed } from './wiring/alternatives';
export { climbMarkdown } from './words/climb-markdown';
export { wiresCsv } from './words/wires-csv';
export { glossary, rungWords } from './words/glossary';
export { dayWays, preferred, preferredUnit, unitWays, usualWays, type Ways } from './words/preferred';
export { priceWords } from './words/price-words';
export type { Lock } from './records/build';
export type { Fix } from './records/fix';
export { linkWords } from './words/link-words';
export { reasonWords } from './words/reason-words';
export { adviceWords } from './words/finding/advice-words';
export { firstSentence, sentenceOf } from './words/finding/sentence-of';
export { wireList, type Wire } from './bill/wire-list';
export { drawHookup, type Box as DrawnBox, type FaceDrawing } from './drawing/draw-hookup';
export { shortLabel } from './circuit/face';
export type { NumberFigure } from './quantity/figure';
