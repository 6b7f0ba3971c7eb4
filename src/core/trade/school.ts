import type { Policies } from './policies';

/** A question on which people of the trade disagree: Rung's default with its reason, and the other school. */
export interface School<K extends keyof Policies = keyof Policies> {
  policy: K;
  asks: string;
  ways: { value: Policies[K]; means: string }[];
  reason: string;
  otherSchool: string;
}

function school<K extends keyof Policies>(
  policy: K,
  asks: string,
  ways: [Policies[K], string][],
  reason: string,
  otherSchool: string,
): School {
  return { policy, asks, ways: ways.map(([value, means]) => ({ value, means })), reason, otherSchool };
}

/** Common practice of the trade on both sides, no source. The first way of each is the default. */
export const schools: readonly School[] = [
  school(
    'ratedAmps',
    'How much of a rated current may be used?',
    [
      ['usual', 'usual: 80 %'],
      ['cautious', 'cautious: 70 %'],
      ['as printed', 'as printed'],
    ],
    'Pages state what a part does on a cold bench; a closed frame is warm.',
    'Others take the printed value, since makers keep a reserve of their own. What you measured is never cut.',
  ),
  school(
    'videoSupply',
    'What feeds camera and video transmitter?',
    [
      ['quiet rail first', 'a regulated, filtered rail first'],
      ['raw pack', 'the raw pack'],
      ['raw pack with filter', 'the raw pack through an LC filter'],
    ],
    'A regulated rail keeps the motors out of the picture.',
    "Others feed a tolerant transmitter from the pack and keep the board's regulator cool.",
  ),
  school(
    'cameraSupply',
    'Where does the camera get its 5 V?',
    [
      ['board', 'from the board'],
      ['transmitter', "from the transmitter's output"],
    ],
    'One supply fewer that can drop out in flight.',
    "Others take the transmitter's output: shorter wires and one ground for the picture.",
  ),
  school(
    'joints',
    'Plugs or solder?',
    [
      ['plugs', 'plugs'],
      ['solder', 'direct solder'],
    ],
    'A plugged part is swapped in the field.',
    'Others solder everything: lighter, and no pin limits the current.',
  ),
  school(
    'batteryLeads',
    'When are the pack leads soldered?',
    [
      ['last', 'last'],
      ['first', 'first, on a separate power board'],
    ],
    'On boards without thermal relief they draw the heat away from every later joint.',
    'Others solder them first while the board is bare, where a power board of its own carries them.',
  ),
  school(
    'mounting',
    'Solder before or after mounting?',
    [
      ['underside first', 'underside pads, mount, then the rest'],
      ['all before', 'everything before mounting'],
    ],
    'Wires are cut to length only once the board sits.',
    'Others finish on the bench, where every pad is in reach.',
  ),
  school(
    'currentSensing',
    'Sense the current of a separate ESC?',
    [
      ['through the shunt', "through the board's shunt"],
      ['none', 'straight to the ESC, without sensing'],
    ],
    'Flight time is judged by what was drawn.',
    'Others keep the shunt out of the way: its trace is the thinnest part of the circuit.',
  ),
  school(
    'gyro',
    'Which gyro counts as good?',
    [
      ['noise tolerance', 'one that stands noise'],
      ['newer part', 'a newer part, mounted soft'],
    ],
    'What stands noise needs no rubber.',
    'Others take the newer part and mount it soft.',
  ),
  school(
    'spares',
    'How much more than is used?',
    [
      ['usual', 'a fifth more wire, one standoff and isolator'],
      ['none', 'exactly what is used'],
      ['field kit', 'half as much wire again, a whole second set of small things'],
    ],
    'Ends are cut and small things roll away.',
    'Others count to the piece; those who fly far from a shop carry a second set.',
  ),
  school(
    'burst',
    'Do burst ratings count?',
    [
      ['for the stated seconds', 'for the stated seconds'],
      ['ignored', 'not at all'],
    ],
    'A burst is honest when its seconds are stated and longer than the stretch flown.',
    'Others fly by the continuous rating alone.',
  ),
];
