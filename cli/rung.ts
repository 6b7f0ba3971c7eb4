import { brief } from './brief';
import { circuit } from './circuit';
import { fit } from './fit';
import { check } from './check';
import { read } from './read';

const usage = `Usage:
  npm run -s rung -- fit --build FILE --shelf FILE [--json]    which boards carry the build, and why
  npm run -s rung -- check FILE                                 is this a sound Rung file?
  npm run -s rung -- read FILE [--json]                         what Rung understands of a spec sheet
  npm run -s rung -- brief --build FILE [--json]                the least that any board must have
  npm run -s rung -- circuit --build FILE --board FILE [--scene NAME]   its circuit as a SPICE netlist`;

const [command, ...rest] = process.argv.slice(2);
const commands: Record<string, (args: string[]) => number | Promise<number>> = { fit, check, read, brief, circuit };
const run = command ? commands[command] : undefined;
if (!run) {
  console.error(usage);
  process.exitCode = 2;
} else {
  process.exitCode = await run(rest);
}
