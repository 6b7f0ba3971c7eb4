import { runCommand } from './command';

process.exitCode = await runCommand(process.argv.slice(2));
