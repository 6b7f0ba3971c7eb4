import { createHash } from 'node:crypto';
import { expect, test } from 'vitest';
import { newBoard } from '../records/new-board';
import { boardSchema } from '../records/board';
import { corpora } from '../tests/measure-reader';
import { demoShelf } from '../tests/demo';
import { applyReadings } from './apply-readings';
import { readBridges } from './circuit-words/read-bridges';
import { readParcel } from './circuit-words/read-parcel';
import { readSupplies } from './circuit-words/read-supplies';
import { withBridge, withParcel, withSupplies } from './circuit-words/with-circuit-words';
import { partPageWords, readPartPage } from './part-page';
import { readPartsList } from './parts-list';
import { readPinOrders, withPinOrder } from './pinout/pin-orders';
import { readPinout } from './pinout/read-pinout';
import { withPinout } from './pinout/with-pinout';
import { readHoles, withHoles } from './read-holes';
import { readOffer } from './read-offer';
import { readSpec } from './read-spec';

const said = { origin: 'claim', seen: '2026-11-29' } as const;
const library = demoShelf().peripherals;

/** The board that somebody gets who takes all that is read of a page. */
function boardOf(text: string) {
  const described = applyReadings(newBoard('page', 'Page', 'Testwright', 'all-in-one'), readSpec(text), said);
  const held = withHoles(described, readHoles(text), said);
  const drawn = withPinout(held, readPinout(text), said);
  const plugged = readPinOrders(text).reduce(withPinOrder, drawn);
  const fed = withSupplies(plugged, readSupplies(text), said);
  const bridged = readBridges(text).reduce(
    (b, bridge) => withBridge(b, bridge, bridge.factory ?? bridge.positions[0]!, said),
    fed,
  );
  const parcel = readParcel(text);
  return parcel ? withParcel(bridged, parcel, said) : bridged;
}

const printOf = (made: unknown) => createHash('sha256').update(JSON.stringify(made)).digest('hex').slice(0, 8);

/** A changed rule is noticed; what it changed is seen by looking at the pages. */
test.each([
  ['by-another-hand', 'de356fe8'],
  ['first', '020f52ff'],
  ['round-one', 'c3697eba'],
  ['round-two', '7a6bd127'],
  ['round-three', 'e3cb26bc'],
  ['round-four', 'a0abdf4a'],
  ['round-five', '457e3c3d'],
  ['round-six', 'e47de07e'],
  ['round-seven', '963e93d5'],
  ['round-eight', '6ffbe8f7'],
  ['round-nine', '9882a309'],
  ['round-ten', '531b4d69'],
  ['round-eleven', 'c7d8ebbd'],
  ['round-twelve', 'a202dd63'],
  ['round-fourteen', 'd3f8758b'],
  ['round-fifteen', 'b64f8880'],
  ['round-sixteen', '9ac01bf3'],
  ['round-seventeen', '47b64f11'],
  ['round-eighteen', 'bc8631ff'],
  ['round-nineteen', '1dc849ef'],
  ['round-twenty-one', '26395e0d'],
  ['round-twenty', 'd3fc4308'],
  ['round-thirteen', '9449c321'],
])('%s: boards that are read are sound; they, parts, lists of parts and offers are what they were', (name, print) => {
  const made = corpora()[name]!.texts.map(({ text }) => {
    const board = boardOf(text);
    expect(boardSchema.safeParse(board).error?.issues).toBe(undefined);
    const part = readPartPage(text);
    return [board, part, partPageWords(part), readPartsList(text, library), readOffer(text)];
  });
  expect(printOf(made)).toBe(print);
});
