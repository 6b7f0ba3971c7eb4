import type { RungName } from '../trade/rungs';

/** The words of the trade that Rung uses, in plain ones; by name. */
export const glossary: readonly { term: string; means: string }[] = [
  { term: 'all-in-one', means: 'One board that is flight controller and ESCs for all motors.' },
  { term: 'barometer', means: 'A sensor of air pressure, by which the board knows its height.' },
  { term: 'bay', means: 'The room in the frame where the board sits: length, width, and height from the plate.' },
  {
    term: 'bridge',
    means: 'A spot of solder, or a resistor, that joins two or three pads and so chooses what a rail is fed by.',
  },
  { term: 'burst', means: 'What a part stands for some seconds, as at full throttle; less than that for good.' },
  {
    term: 'capacitor',
    means: 'At the pack leads: it takes the peaks that motors throw back, which would else reach the board.',
  },
  {
    term: 'cells (S)',
    means: 'How many cells of a pack stand in a row: 4S is four, 16.8 V when a lithium pack is full.',
  },
  { term: 'claim', means: 'What a seller says. A measurement, a manual and print on the board count before it.' },
  { term: 'drop-out', means: 'By how many volts what feeds a regulator must be above what it gives.' },
  { term: 'ESC', means: 'Electronic speed controller: it turns the motors. Four on one board, or one a motor.' },
  { term: 'flight controller', means: 'The board with the processor and the gyro; everything else hangs off it.' },
  { term: 'ground', means: 'The other side of every wire: what current goes back on. All grounds are one net.' },
  { term: 'gyro', means: 'The sensor that feels how the craft turns; a quiet one makes smoother flight.' },
  { term: 'harness', means: 'The cable between flight controller and ESC, or power board, with a plug at each end.' },
  { term: 'I2C', means: 'A bus of two wires on which several sensors are called by address.' },
  { term: 'CAN', means: 'A bus of two wires for sturdier parts, each with its own processor.' },
  {
    term: 'inverter',
    means: 'It turns a signal upside down: some receivers send theirs so, and not every port hears it.',
  },
  { term: 'holds', means: 'Enough is said, and it is enough: the longer the bar, the more there is to spare.' },
  { term: 'breaks', means: 'Figures that are known say no. The sentence says which, and what would mend it.' },
  { term: 'isolator', means: 'A soft grommet under the board that keeps vibration from the gyro.' },
  { term: 'margin', means: 'How much more there is than is needed, as a share of what is needed.' },
  {
    term: 'must, should, nice',
    means: 'A board that cannot serve a must does not fit; a should or a nice may be left out, at a price.',
  },
  { term: 'overlay', means: 'Writing in the pilot’s picture, such as volts and time.' },
  { term: 'pad', means: 'A spot on the board where a wire is soldered.' },
  { term: 'port (UART)', means: 'A serial connection of two pads: the board hears on RX and talks on TX.' },
  { term: 'power board', means: 'A board that shares the pack out and feeds the others with what they need.' },
  { term: 'rail', means: 'All pads of one supply, such as 5 V, and what feeds them.' },
  { term: 'receiver', means: 'It hears the pilot’s radio and tells the board.' },
  {
    term: 'regulator (BEC)',
    means: 'It makes a steady supply, such as 5 V, out of the pack. Its amps are shared by all that hangs on the rail.',
  },
  {
    term: 'rung',
    means: 'One of the ten things that are checked, from hole pattern to price. A board climbs until one breaks.',
  },
  { term: 'soft serial', means: 'A port made of an output by the processor itself: slow, and of one use.' },
  { term: 'stack', means: 'Flight controller and ESC sold as two boards, one above the other.' },
  { term: 'strained', means: 'It goes, with work or with little to spare; the sentence says which.' },
  { term: 'take-off mass', means: 'All that leaves the ground: craft, pack, board, parts, wire.' },
  { term: 'telemetry', means: 'What a part sends back, such as an ESC its heat and its turns.' },
  { term: 'timer', means: 'What makes the pulses for a group of outputs: all of one group have one rate.' },
  { term: 'unknown', means: 'Nobody says it. It is never taken for a yes: the rung stays open until somebody does.' },
  { term: 'video transmitter', means: 'It sends the camera’s picture to the pilot. Never powered without its aerial.' },
];

/** What each rung checks, in one sentence. */
export const rungWords: Record<RungName, string> = {
  Frame: 'Do the holes, the size and the height fit the bay, and can the plug be reached?',
  Pack: 'Does the board stand the volts of the full pack, and go on at those of the empty one?',
  Motors: 'Are there enough motor outputs, and ESCs that carry the amps of full throttle?',
  Ports: 'Is there a serial port, a bus or an input for every part that wants one?',
  Signals: 'Do both ends speak alike: inverted or plain, at volts that the other one hears and stands?',
  Rails: 'Does each part get volts inside its range, from a rail that is there?',
  Load: 'Do regulators and wires carry the amps of all that hangs on them?',
  Weight: 'Does it stay under the take-off limit, with all that the hookup drags in?',
  Cost: 'Does it stay inside the budget, with all that is still to be bought?',
  Comforts: 'Wishes: spare ports, storage, sensors, plugs. A wish that is missed never breaks a board.',
};
