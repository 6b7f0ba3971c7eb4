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
  ['by-another-hand', 'beb9f44d'],
  ['first', 'eb0469a3'],
  ['round-one', 'be19e6ac'],
  ['round-two', '287258e3'],
  ['round-three', 'c310f81f'],
  ['round-four', 'ca146239'],
  ['round-five', '9f037804'],
  ['round-six', 'f6d340a5'],
  ['round-seven', 'a4464c9b'],
  ['round-eight', 'c3e801e8'],
  ['round-nine', '8dddc41e'],
  ['round-ten', '27c30b0a'],
  ['round-eleven', '8b89071d'],
  ['round-twelve', 'ea2668ef'],
  ['round-fourteen', '673aaa28'],
  ['round-fifteen', '41e66f3f'],
  ['round-sixteen', '7f23b8bd'],
  ['round-seventeen', 'e303174d'],
  ['round-eighteen', '21887ffc'],
  ['round-nineteen', '87de29df'],
  ['round-twenty-one', '121bdbfc'],
  ['round-twenty-two', 'a3e58ec0'],
  ['round-twenty', '46562184'],
  ['round-thirteen', 'e7d5a923'],
])('%s: boards that are read are sound; they, parts, lists of parts and offers are what they were', (name, print) => {
  const made = corpora()[name]!.texts.map(({ text }) => {
    const board = boardOf(text);
    expect(boardSchema.safeParse(board).error?.issues).toBe(undefined);
    const part = readPartPage(text);
    return [board, part, partPageWords(part), readPartsList(text, library), readOffer(text)];
  });
  expect(printOf(made)).toBe(print);
});
