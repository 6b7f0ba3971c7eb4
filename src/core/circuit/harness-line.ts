import type { Board, Port } from '../records/board';
import type { Build } from '../records/build';
import type { ProtocolId } from '../trade/protocol';
import { flag, type Truth } from '../quantity/truth';
import { fliesOnOwnEsc } from './esc-lines';

/** Does the wire that takes a port bring already what a link wants? The harness of an ESC that is in use brings its telemetry (common practice, no source). */
export function broughtByHarness(build: Build, port: Port, protocol: ProtocolId): boolean {
  return port.taken?.carries === protocol && fliesOnOwnEsc(build);
}

/** Does the ESC that the motors hang on send telemetry on a wire? One of which the file says nothing does, where a build lists it. */
export function escSendsTelemetry(build: Build, board: Board): Truth {
  const said = fliesOnOwnEsc(build) ? board.esc?.telemetry : build.motors.ownEsc?.telemetry;
  return said ? flag(said) : 'yes';
}

/** The harness of an ESC that goes unused is not plugged in, so its telemetry line takes no port. */
export function withoutIdleHarness(build: Build, board: Board): Board {
  if (fliesOnOwnEsc(build) || !board.ports.some((p) => p.taken?.carries)) return board;
  return { ...board, ports: board.ports.map((p) => (p.taken?.carries ? { ...p, taken: undefined } : p)) };
}
