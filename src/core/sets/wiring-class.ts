import type { Board } from '../records/board';
import { flag } from '../quantity/truth';
import { hasLine } from '../trade/harness-line';
import { isSingleEsc } from './roles';

/**
 * All that the wiring of a set can see of a member beside its controller, as a key: its rails with the pads they leave at, its bridges, plugs and video, its harness plug, whether it
 * senses current and sends telemetry. Two members of one key are wired alike with any controller; what they are called, weigh, cost and carry makes no difference to it.
 */
export function wiringClass(board: Board): string {
  const { rails, bridges, plugs, video, escPlug, grounds } = board;
  const joinable = new Set([
    ...rails.flatMap((r) => r.pads),
    ...plugs.flatMap((p) => p.pins.flatMap((pin) => pin.pad ?? [])),
    ...grounds,
    ...(video ? [...video.cameraIns, video.out] : []),
  ]);
  return JSON.stringify([
    board.kind,
    isSingleEsc(board),
    board.pads.filter((p) => joinable.has(p.id)).map(({ label: _, ...pad }) => pad),
    rails.map(({ label: _, source, ...rail }) => ({ ...rail, source })),
    board.sharedLimits ?? null,
    bridges,
    plugs,
    grounds,
    video ? [video.cameraIns, video.out, flag(video.overlayChip)] : null,
    escPlug ? [escPlug.rigid === true, hasLine(escPlug.pins, '5 V'), hasLine(escPlug.pins, 'current')] : null,
    board.currentSensor !== undefined,
    board.pads.some((p) => hasLine([p.label], 'current')),
    board.esc?.telemetry ? flag(board.esc.telemetry) : null,
    flag(board.allPads),
    board.motorLine ?? null,
    board.digitalCurrent ?? null,
  ]);
}
