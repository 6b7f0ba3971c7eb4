import { counted, list, num } from '../../quantity/spelled';
import type { ComfortSays } from '../../rungs/says/comfort-says';
import type { WordsOf } from './words-of';

export const comfortWords: WordsOf<ComfortSays> = {
  'no wishes': () => 'No preferences are set.',
  'on board': ({ what, there }) =>
    ({
      yes: `A ${what} is on board.`,
      no: `There is no ${what}.`,
      unknown: `Nobody says whether there is a ${what}.`,
    })[there],
  storage: ({ givenMb, wantedMb, enough }) =>
    ({
      yes: `${num(givenMb, 0)} MB for logs.`,
      no: `${num(givenMb, 0)} MB for logs, ${num(wantedMb, 0)} MB wanted.`,
      unknown: 'Nobody says how much it can log.',
    })[enough],
  gyro: ({ quiet, mountedSoft }) =>
    ({
      yes: mountedSoft ? 'The gyro is sensitive, but the board is mounted soft.' : 'The gyro stands noise well.',
      no: 'The gyro is sensitive to noise: mount it soft.',
      unknown: 'Nobody says how the gyro stands noise.',
    })[quiet],
  'spare ports': ({ free, wanted }) =>
    `${counted(free, 'port')} ${free === 1 ? 'stays' : 'stay'} free, ${wanted} wanted for later.`,
  plugs: ({ count }) =>
    count > 0 ? `The board has ${counted(count, 'plug')}.` : 'Everything is soldered: the board has no plugs.',
  underside: ({ labels }) =>
    labels.length === 0
      ? 'Nothing is soldered on the underside.'
      : `Needed on the underside: ${counted(labels.length, 'pad')} (${list(labels.slice(0, 3))}).`,
  button: ({ reached }) =>
    ({
      yes: 'The button can be reached.',
      no: 'The button is behind a closed side.',
      unknown: 'Nobody says where the button is.',
    })[reached],
  'pack leads first': ({ able }) =>
    ({
      yes: 'Pack leads may be soldered first: nothing here draws the heat away.',
      no: 'Pack leads soldered first would draw the heat away from every later joint: its pack pads have no thermal relief.',
      unknown: 'Nobody says whether its pack pads have thermal relief, and the pack leads are to be soldered first.',
    })[able],
  'firmware ended': () => 'Its firmware is no longer brought up to date.',
  'old processor': ({ family }) => `The ${family} family is among the oldest: its support may have ended.`,
  'many serial links': ({ links, family }) =>
    `${links} serial links are much for the ${family} family: it has little headroom left for more.`,
};
