import type { Truth } from '../quantity/truth';

const without = /\b(without|no|not|w\/o|less|minus|excl\w*|exclud\w*|ohne|sans)\b|\bw\/o/i;

/** Whether words on what a mass includes ("both boards and harness, without capacitor and pack lead") say that it includes a thing: no where it is taken out, unknown where it is not named. */
export function massIncludes(words: string | undefined, thing: RegExp): Truth {
  if (!words || !thing.test(words)) return 'unknown';
  // What is taken out runs on until something says that it comes with it again.
  for (const piece of words.split(/[;.]|\b(?:but|with|including|incl\.?|plus)\b(?!out)/i))
    if (thing.test(piece)) return without.test(piece.slice(0, piece.search(thing))) ? 'no' : 'yes';
  return 'unknown';
}
