import { expect, test } from 'vitest';
import { readSpec } from '../read-spec';

const limitsIn = (text: string) =>
  readSpec(text).flatMap((r) => (r.field === 'packMaxVolts' ? [[r.value, r.doubt]] : []));

/** 3.7 V nominal and 4.2 V full a cell: common practice of the trade, no source. */
test.each([
  ['Cells: 3-6S\nInput voltage: 11.1 V - 22.2 V', []],
  ['Cells: 3-6S\nInput voltage: 9 - 26 V', [[26, 'sure']]],
  ['Cells: 3-6S\nInput voltage: 9 - 25.2 V', [[25.2, 'sure']]],
  ['Cells: 3-6S\nInput voltage: 9 - 24 V', [[24, 'likely']]],
  ['Cells: 2-8S LiHV\nInput voltage: 7.6 - 30.4 V', []],
  ['Input voltage: 9 - 22.2 V', [[22.2, 'sure']]],
])('%j: %j', (text, limits) => expect(limitsIn(text)).toEqual(limits));
