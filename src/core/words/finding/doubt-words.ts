import { railWords } from '../rail-words';
import { capital, counted, num } from '../../quantity/spelled';
import type { DoubtSays } from '../../rungs/says/doubt-says';
import type { WordsOf } from './words-of';

const rail = (label: string) => capital(railWords(label));

export const doubtWords: WordsOf<DoubtSays> = {
  'ports beyond the processor': ({ claimed, family, usual, most }) =>
    `The board claims ${num(claimed, 0)} serial ports; ${
      claimed > most
        ? `no ${family} processor of the trade has more than ${most}`
        : `the usual ${family} processors have ${usual}, only the largest up to ${most}`
    }. Ask which of them are soft serial.`,
  'lighter than bare': ({ massG, lengthMm, widthMm, bareG }) =>
    `${num(massG)} g is less than a bare board of ${num(lengthMm)} x ${num(widthMm)} mm weighs (about ${num(bareG)} g).`,
  'linear too hot': ({ rail: label, amps, outVolts, cells, watts }) =>
    `${rail(label)}: a linear regulator giving ${num(amps)} A at ${num(outVolts)} V from a full ${num(cells, 0)}-cell pack would burn ${num(watts, 0)} W; it cannot, so less counts.`,
  'more volts out than in': ({ rail: label, outVolts, inVolts }) =>
    `${rail(label)} is said to give ${num(outVolts)} V out of a rail of ${num(inVolts)} V; bucks and linear regulators only go down.`,
  'strong regulator': ({ rail: label, amps }) =>
    `${rail(label)}: ${num(amps)} A is more than a regulator of this size usually gives; ask for how long.`,
  efficiency: ({ rail: label, share }) => `${rail(label)}: an efficiency of ${num(share * 100, 0)} % is not to be had.`,
  'rail beyond its pins': ({ rail: label, amps, pins, plug, pinAmps }) =>
    `${rail(label)} is rated ${num(amps)} A, but leaves the board only by ${counted(pins, 'pin')} of the ${plug} plug, good for ${num(pinAmps)} A.`,
  'burst below continuous': ({ burstAmps, continuousAmps }) =>
    `A burst of ${num(burstAmps)} A below the continuous ${num(continuousAmps)} A cannot be: the two are swapped, or one is wrong.`,
  'volts below its cells': ({ cells, volts, fullVolts }) =>
    `The board claims ${num(cells, 0)} cells and at most ${num(volts, 1)} V; ${num(cells, 0)} full cells are ${num(fullVolts, 1)} V.`,
};
