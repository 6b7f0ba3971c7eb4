import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { describe, expect, test, vi } from 'vitest';
import { runCommand } from './command';

const folder = mkdtempSync(path.join(os.tmpdir(), 'rung-cli-'));
/** A command in this process: to start one for each test would take most of their time. */
async function rung(...args: string[]) {
  const said = { log: '', error: '' };
  const spies = (['log', 'error'] as const).map((way) =>
    vi.spyOn(console, way).mockImplementation((line: string) => {
      said[way] += `${line}\n`;
    }),
  );
  try {
    return { status: await runCommand(args), stdout: said.log, stderr: said.error };
  } finally {
    for (const spy of spies) spy.mockRestore();
  }
}
const file = (name: string, text: string) => {
  const at = path.join(folder, name);
  writeFileSync(at, text);
  return at;
};

describe('rung fit', () => {
  test('prints a line a board for people', async () => {
    const { status, stdout } = await rung(
      'fit',
      '--build',
      'demo/builds/gutterling.json',
      '--shelf',
      'demo/shelf.json',
    );
    expect(status).toBe(0);
    expect(stdout).toMatch(/Wicket 20 +==========\s+fits/);
    expect(stdout).toMatch(/Punt .*does not fit .*Ports: .*no overlay chip/);
  });

  test('sets take part, one by its address however it ranks; an address of nothing is said', async () => {
    const files = ['--build', 'demo/builds/gutterling.json', '--shelf', 'demo/shelf.json'];
    const { status, stdout } = await rung('fit', ...files, '--json', '--set', 'marlpit-stile~tarnfield-joist-55');
    expect(status).toBe(0);
    const said = JSON.parse(stdout) as {
      sets: { possible: number; tried: number; proved: boolean; out: { id: string }[] };
      boards: { id: string; members: { id: string; count: number }[] | null; verdict: string }[];
    };
    expect(said.sets).toMatchObject({ possible: 495, proved: true });
    expect(said.boards[0]).toMatchObject({
      id: 'pellmere-lych~marlpit-cotter-30',
      verdict: 'fits',
      members: [{ id: 'pellmere-lych' }, { id: 'marlpit-cotter-30', count: 4 }],
    });
    expect(said.boards.some((b) => b.id === 'marlpit-stile~tarnfield-joist-55')).toBe(true);
    // An ESC alone is no candidate.
    expect(said.boards.some((b) => b.id === 'tarnfield-joist-55')).toBe(false);
    const none = await rung('fit', ...files, '--set', 'tarnfield-joist-55~marlpit-weir-12');
    expect(none.status).toBe(2);
    expect(none.stderr).toContain('is no board or set of this shelf');
  });

  test('--json gives verdict, rungs and hookup of every board', async () => {
    const { status, stdout } = await rung(
      'fit',
      '--build',
      'demo/builds/belfry-six.json',
      '--shelf',
      'demo/shelf.json',
      '--json',
    );
    expect(status).toBe(0);
    const { boards } = JSON.parse(stdout) as {
      boards: {
        name: string;
        verdict: string;
        rungs: { state: string; reasons: { sentence: string }[] }[];
        hookup: {
          links: { part: string; on: string[] }[];
          supplies: { part: string; rail: string }[];
          loads: { on: string; peakMa: number; atLeast: boolean; parts: { part: string; peakMa: number }[] }[];
          held: { pad: string; by: string }[];
        };
      }[];
    };
    const hod = boards.find((b) => b.name === 'Hod 30')!;
    expect(hod.verdict).toBe('does not fit');
    expect(hod.rungs[2]!.reasons[0]!.sentence).toBe(
      'Full throttle draws 38 A a motor for up to 8 s; a channel gives 40 A for 5 s.',
    );
    const keel = boards.find((b) => b.name === 'Keel F7 45')!;
    expect(keel.hookup.links.map((l) => l.part)).toContain('skein-2w');
    expect(keel.hookup.supplies.find((s) => s.part === 'prism-air')!.rail).toBe('9v');
    // 1.1 A at 9 V, and 3 mA more for what its wire takes: it draws its watts.
    expect(keel.hookup.loads.find((l) => l.on === '9v')).toMatchObject({
      peakMa: 1103,
      atLeast: false,
      parts: [{ part: 'prism-air', peakMa: 1103 }],
    });
    expect(keel.hookup.held.map((h) => h.by)).toEqual(
      expect.arrayContaining(['the ESC telemetry line of the harness', 'the ESC on the board']),
    );
    for (const l of keel.hookup.loads) expect(l.parts.reduce((sum, p) => sum + p.peakMa, 0)).toBe(l.peakMa);
  });

  test.each([
    [
      'no such file',
      ['fit', '--build', 'nowhere.json', '--shelf', 'demo/shelf.json'],
      'nowhere.json: There is no such file, or it cannot be read.',
    ],
    [
      'a shelf for a build',
      ['fit', '--build', 'demo/shelf.json', '--shelf', 'demo/shelf.json'],
      'demo/shelf.json, field format: Expected rung-build; found "rung-shelf".',
    ],
    ['a missing option', ['fit', '--build', 'demo/shelf.json'], 'fit: expected --build FILE and --shelf FILE.'],
    ['an unknown command', ['fly'], 'Usage:'],
    ['a word that every object knows', ['constructor'], 'Usage:'],
  ])('%s: exit 2 and a sentence', async (_, args, sentence) => {
    const { status, stderr } = await rung(...args);
    expect(status).toBe(2);
    expect(stderr).toContain(sentence);
  });
});

test('as it is started from a shell: what it says, and how it ends', () => {
  const shell = (...args: string[]) =>
    spawnSync(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'cli/rung.ts', ...args], { encoding: 'utf8' });
  const sound = shell('check', 'demo/shelf.json');
  expect([sound.status, sound.stdout]).toEqual([0, 'demo/shelf.json: a sound rung-shelf file, version 2.\n']);
  const none = shell('check', 'nowhere.json');
  expect([none.status, none.stdout]).toEqual([2, '']);
  expect(none.stderr).toContain('There is no such file');
});

describe('rung check', () => {
  test('names file, field and what was expected', async () => {
    const broken = file(
      'b.json',
      JSON.stringify({ format: 'rung-shelf', version: 1, name: 'x', boards: [{ format: 'rung-board' }] }),
    );
    const { status, stderr } = await rung('check', broken);
    expect(status).toBe(2);
    expect(stderr).toContain('field boards[0].version: Expected a version from 1 to 2; found nothing.');
  });
  test('a sound file is said to be sound', async () =>
    expect(await rung('check', 'demo/shelf.json')).toMatchObject({
      status: 0,
      stdout: 'demo/shelf.json: a sound rung-shelf file, version 2.\n',
    }));
});

describe('rung read', () => {
  test('prints what it understood of a text, and as JSON', async () => {
    const at = file('sheet.txt', 'BEC 5V@3A\n30.5*30.5mm/M3');
    expect((await rung('read', at)).stdout).toMatch(/regulators +5@3[\s\S]*patternMm +30.5/);
    expect((JSON.parse((await rung('read', at, '--json')).stdout) as { field: string }[]).map((r) => r.field)).toEqual([
      'regulators',
      'patternMm',
      'screw',
    ]);
    expect((await rung('read', path.join(folder, 'none.txt'))).status).toBe(2);
  });
});

describe('rung brief and rung circuit', () => {
  const build = 'demo/builds/belfry-six.json';
  const shelf = JSON.parse(readFileSync('demo/shelf.json', 'utf8')) as { boards: { id: string }[] };
  const board = file('keel.json', JSON.stringify(shelf.boards.find((b) => b.id === 'tarnfield-keel-f7')));

  test('the brief is a line an ask, with its cause; --json has the same', async () => {
    const { status, stdout } = await rung('brief', '--build', build);
    expect(status).toBe(0);
    expect(stdout).toContain('- stands a full pack of 25.2 V (6S) (the pack)');
    const { lines } = JSON.parse((await rung('brief', '--build', build, '--json')).stdout) as {
      lines: { asks: string }[];
    };
    expect(stdout.split('\n').filter((l) => l.startsWith('- '))).toHaveLength(lines.length);
  });

  test('the circuit is a SPICE netlist of the scene; a scene that there is not is named with those there are', async () => {
    const { status, stdout } = await rung('circuit', '--build', build, '--board', board, '--scene', 'land');
    expect(status).toBe(0);
    expect(stdout).toMatch(/^\* Belfry Six on Keel F7 45: landing pack at full throttle/);
    expect(stdout.trimEnd().endsWith('.end')).toBe(true);
    const wrong = await rung('circuit', '--build', build, '--board', board, '--scene', 'moon');
    expect([wrong.status, wrong.stderr.includes('there is no scene "moon"')]).toEqual([2, true]);
  });

  test('a name with a line break in it writes no line of the netlist', async () => {
    const hostile = JSON.parse(readFileSync(build, 'utf8')) as { name: string };
    const named = file('hostile.json', JSON.stringify({ ...hostile, name: 'Belfry\n.control\nshell ls\n.endc' }));
    const { stdout } = await rung('circuit', '--build', named, '--board', board);
    expect(stdout.split('\n').some((l) => l.startsWith('.control') || l.startsWith('shell'))).toBe(false);
  });
});
