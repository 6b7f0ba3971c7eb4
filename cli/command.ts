import { brief } from './brief';
import { circuit } from './circuit';
import { fit } from './fit';
import { check } from './check';
import { read } from './read';

const usage = `Usage:
  npm run -s rung -- fit --build FILE --shelf FILE [--set CONTROLLER~ESC] [--json]   which boards and sets carry the build, and why
  npm run -s rung -- check FILE                                                      is this a sound Rung file?
  npm run -s rung -- read FILE [--json]                                              what Rung understands of a spec sheet
  npm run -s rung -- brief --build FILE [--json]                                     the least that any board must have
  npm run -s rung -- circuit --build FILE --board FILE [--scene NAME]                its circuit as a SPICE netlist`;

const commands: Record<string, (args: string[]) => number | Promise<number>> = { fit, check, read, brief, circuit };

/** One command with its words; prints what it has to say. Its exit code: 0, or 2 for what is not understood or cannot be read. */
export async function runCommand([command, ...rest]: string[]): Promise<number> {
  const run = command && Object.hasOwn(commands, command) ? commands[command] : undefined;
  if (run) return run(rest);
  console.error(usage);
  return 2;
}
