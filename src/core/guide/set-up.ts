import type { Climb } from '../evaluate/climb';
import type { Build } from '../records/build';
import { packsOf } from '../circuit/packs';
import { cellVolts } from '../trade/cell';
import { num } from '../quantity/spelled';
import type { Step } from './step';

/** What is set in the firmware between the last joint and the first flight, in its order and in no firmware's words (common practice, no source). */
export function setUp(build: Build, { hookup }: Climb): Step[] {
  const has = (...kinds: string[]) =>
    build.parts.some((p) => kinds.includes(p.peripheral.kind) && hookup.parts.some((x) => x.id === p.id && x.mode));
  const cells = packsOf(build).map(({ cells: n, chemistry }) => ({ n, cell: cellVolts[chemistry] }));
  const alarms = cells.map(
    ({ n, cell }) =>
      `${n} cells: warn at ${num(n * cell.land, 1)} V (${num(cell.land, 2)} V a cell), land by ${num(n * cell.floor, 1)} V`,
  );
  const step = (key: string, does: string, why: string): Step => ({ key: `set-up ${key}`, does, why });
  return [
    step(
      'level',
      'Calibrate level with the bare board lying on a flat table, before it is mounted.',
      'The craft hardly ever stands as level as a table.',
    ),
    ...(has('receiver')
      ? [
          step(
            'bind',
            'Bind the receiver, then set what it sends when the radio falls silent: motors off. Try it: switch the radio off.',
            'A craft that flies on without a radio hurts somebody.',
          ),
          step(
            'channels',
            'Check the order of the channels: each stick moves its own bar, in its own direction, from end to end.',
            'Radios differ in their order, and a reversed stick shows only in the air.',
          ),
          step(
            'arming',
            'Give the arming switch its channel before any other switch, and try that it disarms.',
            'Everything after this step can make motors turn.',
          ),
        ]
      : []),
    ...(build.motors.count > 0
      ? [
          step(
            'motors',
            'With the propellers off, turn one motor after the other: it is the arm of the motor map, and it spins the way the map says.',
            'Order and spin are put right in the settings; only after that do propellers go on.',
          ),
        ]
      : []),
    step(
      'alarms',
      `Battery alarms. ${alarms.join('; ')}.`,
      `Volts under load; rested they come back. Common practice, no source.`,
    ),
    ...(has('positioning', 'compass')
      ? [
          step(
            'compass',
            'Set how module and compass are turned against the nose, then calibrate the compass outdoors, away from cars and steel.',
            'A compass that is turned by 90 degrees flies circles.',
          ),
        ]
      : []),
    ...(has('servo', 'gimbal')
      ? [
          step(
            'surfaces',
            'Each control surface: right direction, right end points, in the middle at rest, before the linkages are tightened.',
            'A reversed surface is found on the ground or not at all.',
          ),
        ]
      : []),
    ...(has('video transmitter')
      ? [
          step(
            'video',
            'Set band, channel and power of the video transmitter as the local radio rules allow; the aerial is on before it is powered.',
            'Rules differ by country, and the output stage does not live without an aerial.',
          ),
        ]
      : []),
  ];
}

/** Rows and columns of the overlay for a picture of 525 and of 625 lines (ITU-R BT.1700 for the systems; the common chip's 13 and 16 rows of 30, from memory). */
const overlay = { columns: 30, rows525: 13, rows625: 16 } as const;

/** Where a camera's picture carries the board's overlay: a layout that is too tall is cut off. */
export function pictureRows(build: Build, { hookup }: Climb): Step[] {
  const overlaid = hookup.parts.some((p) => p.mode && p.links.some((l) => l.link.kind === 'video' && l.link.overlay));
  if (!overlaid || !build.parts.some((p) => p.peripheral.kind === 'camera')) return [];
  return [
    {
      key: 'set-up picture rows',
      does: `Lay the overlay out for the camera's picture: ${overlay.rows525} rows of ${overlay.columns} letters where it has 525 lines, ${overlay.rows625} where it has 625. Keep the outermost row and column free.`,
      why: 'A layout for the taller picture is cut off at the bottom of the other; goggles and screens hide the rim.',
    },
  ];
}
