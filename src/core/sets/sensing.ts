import type { Board, Member } from '../records/board';
import { hasLine } from '../trade/harness-line';
import { isSingleEsc } from './roles';
import { isRigid } from './feed';
import type { Pieces } from './pieces';

/** Whose current sensor a set uses, and how its signal reaches the controller. */
export interface Sensing {
  role: Member['role'];
  sensor: NonNullable<Board['currentSensor']>;
  by: 'its own' | 'harness' | 'wire';
}

const currentLine = (pins: readonly string[] | undefined) => hasLine(pins ?? [], 'current');

/** The sensors that a set has, the one that is used first. */
export function sensingOf(pieces: Pieces): Sensing[] {
  const { controller, esc, power } = pieces;
  const input = controller.analogueInputs.some((i) => i.kind === 'current');
  const found: Sensing[] = [];
  // Each of several single ESCs would sense its own motor only.
  if (esc?.currentSensor && !isSingleEsc(esc)) {
    const sends = currentLine(esc.escPlug?.pins) || esc.pads.some((p) => currentLine([p.label]));
    const plugged = currentLine(esc.escPlug?.pins) && currentLine(controller.escPlug?.pins);
    if (plugged) found.push({ role: 'esc', sensor: esc.currentSensor, by: 'harness' });
    else if (sends && input && !isRigid(pieces)) found.push({ role: 'esc', sensor: esc.currentSensor, by: 'wire' });
  }
  if (power?.currentSensor && input) found.push({ role: 'power board', sensor: power.currentSensor, by: 'wire' });
  if (controller.currentSensor) found.push({ role: 'controller', sensor: controller.currentSensor, by: 'its own' });
  return found;
}
