import { spawn, spawnSync } from 'node:child_process';
import { createServer } from 'node:net';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
export const isRoot = process.getuid?.() === 0;

/** Runs to the end and returns its exit code; output goes to the terminal unless `quiet`. */
export function run(command, args, { quiet = false, env = {} } = {}) {
  const result = spawnSync(command, args, {
    cwd: root,
    stdio: quiet ? 'ignore' : 'inherit',
    env: { ...process.env, ...env },
  });
  return result.error ? 127 : (result.status ?? 1);
}

/** The same, while others run too. */
export function runBeside(command, args, { env = {} } = {}) {
  return new Promise((resolve) => {
    const child = start(command, args, { env });
    child.on('error', () => resolve(127));
    child.on('close', (code) => resolve(code ?? 1));
  });
}

/** To the end, with what it printed. */
export function ask(command, args) {
  const result = spawnSync(command, args, { cwd: root, encoding: 'utf8' });
  return { code: result.error ? 127 : (result.status ?? 1), out: `${result.stdout ?? ''}${result.stderr ?? ''}` };
}

/** The same, while others run too. */
export function listen(command, args) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root });
    let out = '';
    for (const end of [child.stdout, child.stderr]) end.setEncoding('utf8').on('data', (text) => (out += text));
    child.on('error', () => resolve({ code: 127, out }));
    child.on('close', (code) => resolve({ code: code ?? 1, out }));
  });
}

export function start(command, args, { env = {}, stdio = 'inherit' } = {}) {
  return spawn(command, args, { cwd: root, stdio, env: { ...process.env, ...env } });
}

export function freePort() {
  return new Promise((resolve, reject) => {
    const server = createServer();
    server.on('error', reject);
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address();
      server.close(() => resolve(port));
    });
  });
}

/**
 * Ends the program with a sentence.
 * @param {string} sentence
 * @returns {never}
 */
export function stop(sentence) {
  console.error(`\n${sentence}`);
  process.exit(1);
}
