import { counted, list } from '../../quantity/spelled';
import type { SetSays } from '../../rungs/says/set-says';
import type { WordsOf } from './words-of';

export const setWords: WordsOf<SetSays> = {
  'ESCs soldered one by one': ({ esc }) => `Each ${esc} is soldered to its motor output and to the pack.`,
  'no plug board to board': ({ lacks }) => `One of the two sits board to board, and ${lacks} has no plug for it.`,
  'no plug for the harness': ({ lacks }) => `${lacks} has no plug for the harness: its wires are soldered one by one.`,
  'lines clash board to board': ({ missing, meet }) =>
    `The two sit board to board, so no line can be moved, and ${missing.length > 0 || !meet ? `there is no line for ${list(missing)}` : `${meet.board} meets ${meet.esc}`}.`,
  'harness lacks lines': ({ missing }) =>
    `The harness lacks ${missing.length === 1 ? 'the line' : 'the lines'} for ${list(missing)}: ${counted(missing.length, 'wire')} to be soldered beside it.`,
  'two sources joined': ({ controller, esc }) =>
    `${controller} and ${esc} each make 5 V, and the plug between them joins the two without a diode: the stronger drives current into the other.`,
  'pull the 5 V pin': ({ controller, from }) =>
    `Both ends of the harness carry 5 V, and here ${controller} gets its own from ${from}: pull the 5 V pin out of the plug, or two sources meet.`,
  'pack line left out': ({ controller }) =>
    `The full pack would destroy ${controller}: leave its pack line out and feed it 5 V. It does not see the pack's volts then.`,
  'sensor by a wire': ({ of }) =>
    `The current sensor of ${of} has no line in the harness: solder a wire from it to the controller's current input.`,
  'sensor twice': ({ read, idle }) =>
    `A sensor is paid for twice: that of ${read} is read, ${list(idle)} ${idle.length === 1 ? 'brings one' : 'bring one each'} for nothing.`,
  'no input for the sensor': ({ of, controller }) =>
    `${controller} has no input for the current sensor of ${of}: it is not read.`,
  'sensor not read': ({ esc, controller }) =>
    `The harness has no line for the current sensor of ${esc}, and ${controller} has no input for a wire: it is not read.`,
};
