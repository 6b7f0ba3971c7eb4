import { expect, test } from 'vitest';
import { railWords } from './rail-words';

test.each([
  ['5 V', 'the 5 V rail'],
  ['3.3V', 'the 3.3V rail'],
  ['5 V regulator', 'the 5 V regulator'],
  ['Pack', 'the pack'],
  ['VBAT', 'VBAT'],
  ['Servo rail', 'Servo rail'],
])('%s in a sentence', (label, words) => expect(railWords(label)).toBe(words));
