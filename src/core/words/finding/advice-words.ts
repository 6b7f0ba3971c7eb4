import { list } from '../../quantity/spelled';
import type { Advice } from '../../rungs/says/advice';

/** What would help, in one sentence. */
export function adviceWords(a: Advice): string {
  switch (a.code) {
    case 'adapter plate':
      return 'An adapter plate joins two patterns, for a few grams and millimetres.';
    case 'separate ESCs':
      return 'Set the build to separate ESCs (Pack and motors), and add their price and mass.';
    case 'name your ESC':
      return 'Name your ESC in Pack and motors.';
    case 'ESCs on the board':
      return a.orControllerAlone
        ? 'The controller of this stack alone, where a shop sells it; or ESCs on the board, where its channels are enough.'
        : 'ESCs on the board, where its channels are enough.';
    case 'external current sensor':
      return 'An external current sensor, where the board has a current input.';
    case 'plug on wires':
      return 'A controller or an ESC with a plug on wires.';
    case 'one source of 5 V':
      return 'An ESC without a 5 V line, or a controller that takes its 5 V from it.';
    case 'a source of 5 V':
      return 'An ESC or a power board that gives 5 V, or a controller that makes its own.';
    case 'say what your ESC gives':
      return 'Say in Pack and motors what your ESC gives.';
    case 'go without USB':
      return 'Let the largest of them go without USB: untick "Must work from USB alone on the desk" in its sheet.';
    case 'dead rail on USB':
      return 'A rail that is dead on USB, where the board has one.';
    case 'external regulator':
      return `An external regulator for ${a.several ? 'the largest of them' : 'it'}, or a board with a stronger one.`;
    case 'leave out':
      return `Leave out ${list(a.parts)}.`;
    case 'another board':
      return `A board with ${a.portsTaken ? 'fewer ports taken for good' : 'one more free port'}, or one part on another kind of link.`;
    case 'make it a should':
      return 'Make it a must or a should to have it wired all the same.';
    case 'list what is missing':
      return 'List what is missing among the parts, or say on the page of the part or the board that it comes with it: then its own figures count.';
    case 'ask which firmware':
      return 'Ask the seller which firmware target it takes and whether that is still brought up to date.';
    case 'shorter search':
      return 'Fewer optional parts, or a choice locked on the hookup page, make the search shorter. A board that nobody needs can be removed from the shelf.';
  }
}
