import { describe, expect, test } from 'vitest';
import { readBridges } from './read-bridges';
import { readSupplies } from './read-supplies';

/** Lines as manuals have them, made up in two rounds, each before the rules that read it: of the bridges 5 and 6 of 14 were read right at first sight, of the regulators 11 of 13. */
describe('bridges that choose volts', () => {
  test.each([
    ['VTX voltage can be chosen with the pads on the rear: 5V or 9V (9V from factory)', '5,9|9|solder bridge'],
    ['Jumper J1 selects camera supply, 5 V / 9 V. Ships on 5 V.', '5,9|5|jumper'],
    ['SW1: servo voltage 5V, 6V or 7.2V', '5,6,7.2||switch'],
    [
      'Bridge the middle pad to "VBAT" for pack voltage or to "10V" for regulated supply (default).',
      'pack,10|10|solder bridge',
    ],
    ['The servo rail is 5 V; close the solder jumper to change to 6 V.', '5,6|5|solder bridge'],
    ['VX output: 5V default, 6V or 7.2V via jumper pad', '5,6,7.2|5|solder bridge'],
    ['Video supply selectable: battery or 9 V', 'pack,9||jumper'],
    ['Switchable 9V output by the remote (mode 1)', ''],
    ['Two voltage options for the VTX pad: 5V and BAT, set by a 0 ohm resistor, 5V fitted', '5,pack|5|solder bridge'],
    ['Choose 9V or 12V for video power by moving the jumper cap', '9,12||jumper'],
    ['The board can be powered by USB or 5V pad', ''],
    ['JP3 open = 5 V, JP3 closed = 8 V', '5,8||jumper'],
    ['Select 3.3V or 5V for the receiver with the three solder pads (3.3 V as shipped)', '3.3,5|3.3|solder bridge'],
    ['LED supply: 5V / VBAT by solder bridge LED-SEL, default VBAT', '5,pack|pack|solder bridge'],
    ['Camera power: solder the left bridge for 5 V, the right bridge for 9 V (9 V pre-bridged)', '5,9|9|solder bridge'],
    ['VTX BEC voltage adjustable 9V/12V via solder pad, factory default 9V', '9,12|9|solder bridge'],
    ['J4: bridge 1-2 for 5 V, 2-3 for BAT', '5,pack||solder bridge'],
    [
      'To feed the video transmitter straight from the battery, cut the trace at JP2 and bridge to VBAT; otherwise it gets 10 V',
      'pack,10|10|solder bridge',
    ],
    ['Servo voltage: 5.0V / 6.0V / 7.2V / 8.4V (DIP switch)', '5,6,7.2,8.4||switch'],
    ['Output voltage 5V (jumper off) or 8V (jumper on)', '5,8||jumper'],
    ['Pads marked SEL choose between 5V and 3.3V for the receiver rail, preset to 5V', '5,3.3|5|solder bridge'],
    [
      'Supply for the VTX connector: VBAT or 9V, selected with a solder jumper; delivered with VBAT',
      'pack,9|pack|solder bridge',
    ],
    ['Works with 3.3 V and 5 V receivers', ''],
    ['Regulators: 5 V and 9 V, the 9 V one can be switched off', ''],
    ['Two BECs: 5V 3A and 9V 3A; boot button; DFU jumper', ''],
    ['Bridge the pads next to the camera connector if the camera runs on 9 V instead of 5 V', '5,9|5|solder bridge'],
    ['Moving the slide switch from 5 V to 6 V changes the servo rail', '5,6||switch'],
    ['Power select: [1] 5V [2] 9V [3] VBAT', '5,9,pack||jumper'],
  ])('%s', (line, expected) => {
    const words = readBridges(line).map((b) => `${b.positions.join(',')}|${b.factory ?? ''}|${b.form}`);
    expect(words).toEqual(expected === '' ? [] : [expected]);
  });
});

describe('regulators', () => {
  test.each([
    ['5V BEC: 2.5 A continuous, buck converter, input 7-30 V', '5 in7-30 buck'],
    ['3.3 V regulator (LDO) from 5 V, 200 mA', '3.3 linear from5'],
    ['9V 2A switching regulator, accepts 10 to 36 V', '9 in10-36 buck'],
    ['The 5 V and 9 V outputs share 3 A', 'shared 5,9 3'],
    ['Total current of all BECs must not exceed 4 A', 'shared - 4'],
    ['Servo BEC 5/6/7.2 V, 8 A peak', ''],
    ['Servo BEC: 6 V 5 A', '6 servos'],
    ['5V boost converter for 1S: 0.5 A', '5 step-up'],
    ['Analogue 3.3V LDO, 150 mA, fed by the 5V regulator', '3.3 linear from5'],
    ['VIN 6..36 V, VOUT 5 V', '5 in6-36'],
    ['12V rail is stepped up from 5V', '12 step-up from5'],
    ['5V and 3.3V together at most 2 A', 'shared 5,3.3 2'],
    ['10V/2A (VTX), 5V/2A, max 3 A combined', 'shared 10,5 3'],
  ])('%s', (line, expected) => {
    const { supplies, shared } = readSupplies(line);
    const words = [
      ...shared.map((s) => `shared ${s.volts.join(',') || '-'} ${s.amps}`),
      ...supplies.map((s) =>
        [
          s.volts,
          ...(s.inputVolts ? [`in${s.inputVolts.min}-${s.inputVolts.max}`] : []),
          ...(s.type ? [s.type] : []),
          ...(s.fedFrom ? [`from${s.fedFrom}`] : []),
          ...(s.servos ? ['servos'] : []),
        ].join(' '),
      ),
    ];
    expect(words).toEqual(expected === '' ? [] : [expected]);
  });
});
