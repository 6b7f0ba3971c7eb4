import { money as moneyIn } from '../../quantity/money';
import { counted, list, num, span } from '../../quantity/spelled';
import type { LimitSays } from '../../rungs/says/limit-says';
import type { WordsOf } from './words-of';

export const limitWords: WordsOf<LimitSays> = {
  'take-off mass': ({ limitG, massG, unsaid, unlisted }, state) => {
    const off = state === 'breaks' ? massG.low - limitG : limitG - massG.high;
    // "0 g over the limit of 93 g" tells nobody anything.
    const digits = [0, 1, 2].find((d) => Math.abs(off) >= 0.5 * 10 ** -d) ?? 0;
    const grams = (g: number) => `${num(g, digits)} g`;
    const limit = `the limit of ${grams(limitG)}`;
    const lead = {
      holds: `${grams(off)} below ${limit}`,
      strained: `Only ${grams(off)} below ${limit}`,
      unknown: `It may or may not stay below ${limit}`,
      breaks: `${grams(off)} over ${limit}`,
    }[state];
    const weighs = Number.isFinite(massG.high)
      ? span(massG.low, massG.high, 'g', digits)
      : `at least ${grams(massG.low)} (nobody says what ${unsaid.join(' and ')} weighs)`;
    const guess = unlisted.map((l) => `${l.what} (${span(l.grams.low, l.grams.high, 'g', 1)})`);
    return `${lead}: with all that the hookup drags in it weighs ${weighs}.${guess.length === 0 ? '' : ` In that, nobody has listed: ${list(guess)}.`}`;
  },
  price: (s) => {
    const money = (cents: number) => moneyIn(cents, s.currency);
    const boards = s.boards.map(
      ({ name, bought }) =>
        `${name ?? 'the board'} is ${bought ? `${money(bought.cents)} at ${bought.shop}` : 'at home'}`,
    );
    const lead =
      s.sumCents <= s.budgetCents
        ? `${money(s.budgetCents - s.sumCents)} below`
        : `${money(s.sumCents - s.budgetCents)} over`;
    const sent =
      s.parcels === 0 || (s.shippingCents === 0 && s.unsent.length === s.parcels)
        ? ''
        : `, shipping ${money(s.shippingCents)} for ${counted(s.parcels, 'parcel')}`;
    const without =
      s.unsaid.length > 0
        ? ` Nobody says what ${list(s.unsaid)} ${s.unsaid.length === 1 ? 'costs' : 'cost'}: it comes on top.`
        : '';
    const sending =
      s.unsent.length > 0
        ? ` Nobody says what sending from ${list(s.unsent)} costs: up to ${money(s.unsentCents)} more.`
        : '';
    const guess = s.unlisted.map((l) => `${l.what} (${money(l.cents)} to ${money(l.mostCents)})`);
    const least = guess.length > 0 ? ` Nobody has listed: ${list(guess)}; the least of it is counted.` : '';
    return `${lead} the budget of ${money(s.budgetCents)}: ${boards.join(', ')}, all else still to buy ${money(s.restCents)}${sent}${s.dutied ? ', duty and tax included' : ''}, ${money(s.sumCents)} together.${sending}${without}${least}`;
  },
  'no price': ({ members, foreign, currency }) => {
    const what = members ? list(members) : 'this board';
    if (foreign.length > 0)
      return `Offers of ${what} are in ${list(foreign)}, and you have not said what one is worth in ${currency}: the price is unknown.`;
    return members
      ? `Nobody offers ${what}, so the price of the set is unknown.`
      : 'Nobody offers this board, so its price is unknown.';
  },
};
