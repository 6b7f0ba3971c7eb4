import path from 'node:path';
import { root, start } from './run.mjs';

/**
 * Starts the built application and resolves once it answers: on loopback, or on RUNG_LISTEN, which the server refuses without accounts.
 * @param {number} port
 * @param {string} url of the database
 * @param {import('node:child_process').StdioOptions} stdio
 * @returns {Promise<{ child: import('node:child_process').ChildProcess; address: string }>}
 */
export async function serve(port, url, stdio = 'inherit') {
  if (
    await fetch(`http://127.0.0.1:${port}`).then(
      () => true,
      () => false,
    )
  )
    throw new Error(`Port ${port} is taken by another program. Set PORT to a free one, or leave it out.`);
  const child = start(
    process.execPath,
    [
      path.join(root, 'node_modules/next/dist/bin/next'),
      'start',
      '-p',
      String(port),
      '-H',
      process.env.RUNG_LISTEN || '127.0.0.1',
    ],
    {
      env: { DATABASE_URL: url, NEXT_TELEMETRY_DISABLED: '1', NODE_ENV: 'production' },
      stdio,
    },
  );
  const address = `http://127.0.0.1:${port}`;
  for (let i = 0; i < 600; i++) {
    if (child.exitCode !== null) throw new Error('The server stopped before it answered.');
    const up = await fetch(`${address}${process.env.RUNG_PATH ?? ''}/api/health`).then(
      (r) => r.ok,
      () => false,
    );
    if (up) return { child, address };
    await new Promise((r) => setTimeout(r, 100));
  }
  child.kill();
  throw new Error('The server did not answer within a minute.');
}
