import { expect, test } from 'vitest';
import { heldAgainst } from './pictures/second-look';
import { listedReadings, versionsIn } from './listed-readings';
import { readSpec } from './read-spec';

const page = readSpec(
  'X ESC - choose\n\tT45\tT60\nContinuous current\t45A\t60A\nWeight\t13.2g\t15.8g (optional heat sink)\nWeight of both in the bag 13.2 g',
);
const said = (version: string | null) => listedReadings(page, version).map((r) => [r.field, r.value, r.doubt]);

test('of several versions the chosen one is sure, what is doubted for another reason stays so', () => {
  expect(versionsIn(page)).toEqual(['t45', 't60']);
  expect(said(null).filter(([field]) => field === 'continuousAmps')).toEqual([
    ['continuousAmps', 45, 'likely'],
    ['continuousAmps', 60, 'likely'],
  ]);
  expect(said('t45').filter(([field]) => field === 'continuousAmps')).toEqual([['continuousAmps', 45, 'sure']]);
  expect(said('t60')).toContainEqual(['massG', 15.8, 'likely']);
});

test('print of a picture is never sure, whichever version is chosen', () => {
  const looked = heldAgainst(page, page, () => true);
  expect(listedReadings(looked, 't45').filter((r) => r.doubt === 'sure')).toEqual([]);
});

test('what a page says twice is listed once, as the surer of both', () => {
  const twice = readSpec('F722 board\nProcessor: F722\nweight 8 g\n8 g');
  expect(listedReadings(twice, null).map((r) => [r.field, r.doubt])).toEqual([
    ['processor', 'sure'],
    ['massG', 'sure'],
  ]);
});
