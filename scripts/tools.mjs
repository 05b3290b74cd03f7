/** What the scripts share: running a command, and making sure that packages and a browser are there. */
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';

const QUIET = { EXPO_NO_TELEMETRY: '1', CI: '1' };

/**
 * Runs a command with its output on the screen; returns whether it succeeded.
 * @param {string} command @param {string[]} args @param {Record<string, string>} [env]
 */
export function run(command, args, env = {}) {
  const { status, error } = spawnSync(command, args, {
    stdio: 'inherit',
    env: { ...process.env, ...QUIET, ...env },
  });
  if (error) console.error(`${command} could not be run: ${error.message}`);
  return status === 0;
}

/**
 * Begins a command beside others; its output comes when it has ended, and whether it succeeded with it.
 * @param {string} command @param {string[]} args @returns {Promise<boolean>}
 */
export function runBeside(command, args) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { env: { ...process.env, ...QUIET } });
    let out = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => (out += part));
    child.on('error', (error) => (out += `${command} could not be run: ${error.message}\n`));
    child.on('close', (code) => {
      process.stdout.write(out);
      resolve(code === 0);
    });
  });
}

/** Installs the packages when they are missing or the lock file has changed since. */
export function ensurePackages() {
  const lock = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
  const stamp = 'node_modules/.installed-lock';
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  console.log('Installing packages…');
  // Not `npm ci`: it refuses a lock file that leaves out other machines' optional binaries, which registries may not carry.
  if (!run('npm', ['install', '--no-save', '--no-audit', '--no-fund'])) {
    console.error('The packages could not be installed. Is there a way to the npm registry?');
    process.exit(1);
  }
  mkdirSync('node_modules', { recursive: true });
  writeFileSync(stamp, lock);
}

/** @param {string} name */
const found = (name) =>
  spawnSync('sh', ['-c', `command -v ${name}`])
    .stdout?.toString()
    .trim() ?? '';

/**
 * Installs packages of Debian's; says whether it could.
 * @param {string[]} names
 */
const installDebian = (...names) =>
  run('apt-get', ['update', '-qq']) &&
  run('apt-get', ['install', '-y', '-qq', '-o', 'DPkg::Lock::Timeout=540', ...names], {
    DEBIAN_FRONTEND: 'noninteractive',
  });

/** Programs the tests hold our files against, and Debian's packages of them. */
const READERS = ['ncdump', 'h5dump', 'udunits2', 'gpsbabel', 'ogrinfo'];
const READER_PACKAGES = ['netcdf-bin', 'hdf5-tools', 'udunits-bin', 'gpsbabel', 'gdal-bin'];

/** The field's own readers of our files, for the tests; ends the script with a plain message when they cannot be had. */
export function ensureRecordingTools() {
  if (READERS.every((name) => found(name))) return;
  if (found('apt-get')) {
    console.log(`Installing ${READER_PACKAGES.join(', ')}…`);
    if (installDebian(...READER_PACKAGES) && READERS.every((name) => found(name))) return;
  }
  console.error(`The tests need ${READERS.join(', ')}. On Debian: ${READER_PACKAGES.join(', ')}.`);
  process.exit(1);
}

/** The browser's path; installs Debian's chromium when there is none. Ends the script with a plain message when it cannot. */
export function ensureChromium() {
  const there = process.env.CHROMIUM ?? found('chromium');
  if (there) return there;
  if (!found('apt-get')) {
    console.error('The browser tests need Chromium. Install it, or set CHROMIUM to its path.');
    process.exit(1);
  }
  console.log('Installing chromium…');
  const ok = installDebian('chromium');
  const path = found('chromium');
  if (!ok || !path) {
    console.error(
      'Chromium could not be installed (this needs root and a way to Debian’s packages). Install it by hand, or set CHROMIUM to its path.',
    );
    process.exit(1);
  }
  return path;
}
