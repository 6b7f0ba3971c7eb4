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
  ['by-another-hand', 'c8a3dda0'],
  ['first', '0138f5aa'],
  ['round-one', '121dbfeb'],
  ['round-two', '25b57004'],
  ['round-three', 'e7e19600'],
  ['round-four', '23bf88c3'],
  ['round-five', 'ca9934a1'],
  ['round-six', 'c78b1196'],
  ['round-seven', 'bf50d96a'],
  ['round-eight', '43778116'],
  ['round-nine', '826318d7'],
  ['round-ten', 'be15e2a2'],
  ['round-eleven', '33aae9ff'],
  ['round-twelve', '27cb25bc'],
  ['round-fourteen', '029aa4bc'],
  ['round-fifteen', '3e52d7ea'],
  ['round-sixteen', '4d6289fe'],
  ['round-seventeen', 'e5a4b573'],
  ['round-eighteen', '0b71bdb6'],
  ['round-nineteen', '4c0d6a07'],
  ['round-twenty-one', '8faed8dd'],
  ['round-twenty-two', 'd4cff3dd'],
  ['round-twenty-three', '5f06b3f0'],
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
