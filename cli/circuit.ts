import { parseArgs } from 'node:util';
import { auditScenes, benchOf, benchScene, hookupNetlist, spiceNetlist } from '../src/core';
import { climbOf } from '../src/highs/climb';
import { complain, openFile } from './open-file';

const scenes = [benchScene({}), ...auditScenes];

/** Prints the circuit of a build on a board, in one scene, as a SPICE netlist. */
export async function circuit(args: string[]): Promise<number> {
  let options: { build?: string; board?: string; scene?: string };
  try {
    options = parseArgs({
      args,
      options: { build: { type: 'string' }, board: { type: 'string' }, scene: { type: 'string' } },
    }).values;
  } catch (error) {
    console.error(
      `circuit: ${error instanceof Error ? error.message.split('\n')[0] : 'these words are not understood'}`,
    );
    return 2;
  }
  if (!options.build || !options.board) {
    console.error('circuit: expected --build FILE and --board FILE.');
    return 2;
  }
  const wanted = options.scene ?? 'bench';
  const scene = scenes.find((s) => s.id === wanted);
  if (!scene) {
    console.error(
      `circuit: there is no scene "${wanted}". There are: ${scenes.map((s) => `${s.id} (${s.says})`).join(', ')}.`,
    );
    return 2;
  }
  const build = openFile(options.build, 'rung-build');
  if (!build.ok) return complain(options.build, build.faults);
  const board = openFile(options.board, 'rung-board');
  if (!board.ok) return complain(options.board, board.faults);
  const bench = benchOf(build.value, board.value, await climbOf(build.value, board.value));
  const net = hookupNetlist(bench.build, bench.board, bench.hookup, scene);
  for (const line of net.assumed) console.error(`taken for granted: ${line}`);
  console.log(spiceNetlist(net));
  return 0;
}
