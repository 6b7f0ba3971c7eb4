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
  ['by-another-hand', '2ffb595c'],
  ['first', '830ce0df'],
  ['round-one', '5a181d15'],
  ['round-two', 'cb99b190'],
  ['round-three', '6d84d655'],
  ['round-four', '9faab5b5'],
  ['round-five', '547fd3c4'],
  ['round-six', 'b6554f2b'],
  ['round-seven', 'a8944677'],
  ['round-eight', '96bc0ed4'],
  ['round-nine', '16493ff3'],
  ['round-ten', '04dfa911'],
  ['round-eleven', '320b6eed'],
  ['round-twelve', '27cb25bc'],
  ['round-fourteen', 'ca6f3b4e'],
  ['round-fifteen', 'e650f404'],
  ['round-sixteen', '90aaddb0'],
  ['round-seventeen', 'ef1261f8'],
  ['round-eighteen', '1c79a503'],
  ['round-nineteen', 'b61fd3ab'],
  ['round-twenty-one', 'ae1fce23'],
  ['round-twenty-two', '844742bc'],
  ['round-twenty-three', 'cbba8aba'],
  ['round-twenty-four', 'baac3ae1'],
  ['round-twenty', 'f2ace276'],
  ['round-thirteen', 'f7525de1'],
])('%s: boards that are read are sound; they, parts, lists of parts and offers are what they were', (name, print) => {
  const made = corpora()[name]!.texts.map(({ text }) => {
    const board = boardOf(text);
    expect(boardSchema.safeParse(board).error?.issues).toBe(undefined);
    const part = readPartPage(text);
    return [board, part, partPageWords(part), readPartsList(text, library), readOffer(text)];
  });
  expect(printOf(made)).toBe(print);
});
