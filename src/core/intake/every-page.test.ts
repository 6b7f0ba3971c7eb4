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
  ['by-another-hand', '334a6e79'],
  ['first', '830ce0df'],
  ['round-one', '3b033403'],
  ['round-two', '12d2fff0'],
  ['round-three', 'eb7db273'],
  ['round-four', '8246fd57'],
  ['round-five', '547fd3c4'],
  ['round-six', 'c78b1196'],
  ['round-seven', 'f8b54e91'],
  ['round-eight', 'b0ef8699'],
  ['round-nine', '81df7a60'],
  ['round-ten', 'be15e2a2'],
  ['round-eleven', '33aae9ff'],
  ['round-twelve', '27cb25bc'],
  ['round-fourteen', '029aa4bc'],
  ['round-fifteen', '0719287b'],
  ['round-sixteen', 'cfe6eaad'],
  ['round-seventeen', '2bb30fdc'],
  ['round-eighteen', '0b71bdb6'],
  ['round-nineteen', '4c0d6a07'],
  ['round-twenty-one', 'a3a2b1e9'],
  ['round-twenty-two', '140c0591'],
  ['round-twenty-three', 'def773fe'],
  ['round-twenty-four', 'baac3ae1'],
  ['round-twenty', 'af749916'],
  ['round-thirteen', '773a068a'],
])('%s: boards that are read are sound; they, parts, lists of parts and offers are what they were', (name, print) => {
  const made = corpora()[name]!.texts.map(({ text }) => {
    const board = boardOf(text);
    expect(boardSchema.safeParse(board).error?.issues).toBe(undefined);
    const part = readPartPage(text);
    return [board, part, partPageWords(part), readPartsList(text, library), readOffer(text)];
  });
  expect(printOf(made)).toBe(print);
});
