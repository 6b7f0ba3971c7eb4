import { expect, test } from 'vitest';
import { massIncludes } from './mass-words';

const capacitor = /capacitor/i;

test.each([
  ['both boards and harness, without capacitor and pack lead', 'no'],
  ['without pack lead, capacitor and harness', 'no'],
  ['board with capacitor', 'yes'],
  ['capacitor, harness and all cables', 'yes'],
  ['without cables but with capacitor', 'yes'],
  ['no capacitor', 'no'],
  ['heat sink and all cables', 'unknown'],
  [undefined, 'unknown'],
] as const)('%s: %s', (words, truth) => expect(massIncludes(words, capacitor)).toBe(truth));
