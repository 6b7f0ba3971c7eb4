import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { ask, isRoot, root, run, stop } from './run.mjs';

/** Checks Node, then brings the packages that package-lock.json names. Quick when nothing changed. */
export function installPackages() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 9))
    stop(`Rung needs Node 20.9 or newer; this is ${process.versions.node}.`);
  const stamp = path.join(root, 'node_modules', '.rung-installed');
  const lock = readFileSync(path.join(root, 'package-lock.json'), 'utf8');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  console.log('Installing packages (npm ci) ...');
  if (run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']) !== 0)
    stop('npm ci failed: see above. When it works by hand, start again.');
  writeFileSync(stamp, lock);
}

/** The folder that holds initdb and pg_ctl, installing PostgreSQL from Debian's packages where it is missing. */
export function postgresBin() {
  const found = findPostgres();
  if (found) return found;
  aptInstall('PostgreSQL', ['postgresql']);
  return findPostgres() ?? stop('PostgreSQL was installed, but initdb is not to be found.');
}

function findPostgres() {
  const base = '/usr/lib/postgresql';
  if (existsSync(base)) {
    const versions = readdirSync(base).filter((v) => existsSync(path.join(base, v, 'bin', 'initdb')));
    versions.sort((a, b) => Number(b) - Number(a));
    if (versions[0]) return path.join(base, versions[0], 'bin');
  }
  const onPath = ask('sh', ['-c', 'command -v initdb']);
  return onPath.code === 0 ? path.dirname(onPath.out.trim()) : null;
}

/** Without a window of its own Chromium takes a fifth less of the processor for the same pages. */
export function chromiumPath() {
  const find = () =>
    ['chromium-headless-shell', 'chromium', 'chromium-browser']
      .map((name) => path.join('/usr/bin', name))
      .find((p) => existsSync(p) && statSync(p).isFile());
  if (!find()) aptInstall('Chromium', ['chromium-headless-shell']);
  return find() ?? stop('Chromium was installed, but is not to be found.');
}

/** The circuit simulator that the tests hold Rung's own circuits against. */
export function installNgspice() {
  const there = () => ask('sh', ['-c', 'command -v ngspice']).code === 0;
  if (!there()) aptInstall('ngspice', ['ngspice']);
  if (!there()) stop('ngspice was installed, but is not to be found.');
}

function aptInstall(what, packages) {
  const command = `apt-get install -y --no-install-recommends ${packages.join(' ')}`;
  if (!isRoot) stop(`${what} is missing. Install it with:\n\n  sudo ${command}\n\nand start again.`);
  console.log(`Installing ${what} (${command}) ...`);
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  run('apt-get', ['update', '-qq'], { quiet: true, env });
  if (run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...packages], { quiet: true, env }) !== 0) {
    stop(`${what} could not be installed. Install it with:\n\n  ${command}\n\nand start again.`);
  }
}
