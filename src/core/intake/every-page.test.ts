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
  ['by-another-hand', '4d716dc8'],
  ['first', 'ebc13e25'],
  ['round-one', '1f64ad96'],
  ['round-two', '26a0143c'],
  ['round-three', 'd0b0f26c'],
  ['round-four', 'a177bddf'],
  ['round-five', '30429347'],
  ['round-six', '2c0ba73a'],
  ['round-seven', 'fa92c641'],
  ['round-eight', '6ba88a6b'],
  ['round-nine', '133ad2b4'],
  ['round-ten', '0ea33f17'],
  ['round-eleven', 'c2d8b628'],
  ['round-twelve', 'b1156c0c'],
  ['round-fourteen', '44a0586b'],
  ['round-fifteen', 'db90be14'],
  ['round-sixteen', '47d94424'],
  ['round-seventeen', '522b6544'],
  ['round-eighteen', '4563f1d9'],
  ['round-nineteen', '0471698b'],
  ['round-twenty-one', 'ea4d91dc'],
  ['round-twenty-two', '953dba51'],
  ['round-twenty', '95771b67'],
  ['round-thirteen', '82392dd4'],
])('%s: boards that are read are sound; they, parts, lists of parts and offers are what they were', (name, print) => {
  const made = corpora()[name]!.texts.map(({ text }) => {
    const board = boardOf(text);
    expect(boardSchema.safeParse(board).error?.issues).toBe(undefined);
    const part = readPartPage(text);
    return [board, part, partPageWords(part), readPartsList(text, library), readOffer(text)];
  });
  expect(printOf(made)).toBe(print);
});
