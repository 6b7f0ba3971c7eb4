import { railWords } from '../rail-words';
import { counted, list, num, span } from '../../quantity/spelled';
import type { PackSays } from '../../rungs/says/pack-says';
import type { WordsOf } from './words-of';

export const packWords: WordsOf<PackSays> = {
  'full pack': ({ cells, fullVolts, member, standsVolts, standsCells, margin }, state) => {
    const packs = list(cells.map((n) => counted(n, 'cell')));
    const one = cells[0] === 1 ? 'reaches' : 'reach';
    const reach = cells.length > 1 ? 'reach up to' : one;
    const stands =
      standsCells === null
        ? `${num(standsVolts, 2)} V at most`
        : `${num(standsCells, 0)} cells at most, ${num(standsVolts, 2)} V full`;
    const why = {
      holds: 'it survives the full pack.',
      strained: `only ${num((margin ?? 0) * 100, 0)} % is left for spikes.`,
      unknown:
        standsCells !== null && Number.isFinite(standsVolts)
          ? 'whether it survives cells of a higher voltage, nobody says.'
          : 'nobody says what the board survives.',
      breaks: 'the full pack would destroy it.',
    }[state];
    return `${packs} ${reach} ${num(fullVolts, 2)} V when full; ${member ?? 'the board'} takes ${Number.isFinite(standsVolts) ? stands : 'an unknown number of cells'}: ${why}`;
  },
  'empty pack': ({ packs, fewestCells, emptyVolts, member, fromCells }, state) => {
    const why = {
      holds: 'it starts.',
      strained: '',
      unknown: 'nobody says from how many cells it runs.',
      breaks: 'it may not start, or drop out in flight.',
    }[state];
    return `${packs > 1 ? 'The smallest pack' : 'The pack'} has ${counted(fewestCells, 'cell')} (${num(emptyVolts, 2)} V empty under load); ${member ?? 'the board'} asks for ${num(fromCells, 0)} or more: ${why}`;
  },
  'regulator input': ({ rail, reachVolts, standsVolts: { low, high } }) =>
    `Up to ${num(reachVolts, 2)} V reach the regulator of ${railWords(rail)}; it takes ${span(low, high, 'V', 2)} at most.`,
};
