// Brings a bare clone to the point where everything runs. Uses Node built-ins only.
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));
const stamp = join(root, 'node_modules', '.sardonyx-setup');

/** Runs a command in the project's root; rejects when it fails. `quiet` keeps its output until then. */
export function run(command, args, { quiet = false, env = process.env } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd: root, env, stdio: quiet ? ['ignore', 'pipe', 'pipe'] : 'inherit' });
    let output = '';
    child.stdout?.on('data', (chunk) => (output += chunk));
    child.stderr?.on('data', (chunk) => (output += chunk));
    child.on('error', reject);
    child.on('close', (code) => {
      if (code === 0) return resolve(output);
      reject(Object.assign(new Error(`${command} ${args.join(' ')} ended with ${code}`), { output }));
    });
  });
}

const lockHash = () =>
  createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .update(process.version)
    .digest('hex');
const isInstalled = (part) => existsSync(stamp) && readFileSync(stamp, 'utf8').includes(`${part}:${lockHash()}`);
const markInstalled = (part) =>
  writeFileSync(stamp, (existsSync(stamp) ? readFileSync(stamp, 'utf8') : '') + `${part}:${lockHash()}\n`);

/** Installs the packages as locked, without their install scripts (they would fetch or compile things we may not need). */
export async function installPackages() {
  if (isInstalled('packages')) return;
  console.log('Installing packages (npm ci) ...');
  await run('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund'], { quiet: true });
  markInstalled('packages');
}

/** Compiles the SQLite driver for this machine, about three minutes the first time. */
export async function compileDatabaseDriver() {
  if (isInstalled('driver')) return;
  console.log('Compiling the SQLite driver, once; about three minutes ...');
  // Headers that lie beside Node spare a download, so that this works without a network too.
  const nodedir = dirname(dirname(process.execPath));
  const hasHeaders = existsSync(join(nodedir, 'include', 'node', 'node.h'));
  const env = hasHeaders ? { ...process.env, npm_config_nodedir: nodedir } : process.env;
  await run('npm', ['rebuild', 'better-sqlite3'], { quiet: true, env });
  markInstalled('driver');
}

export async function setUp() {
  await installPackages();
  await compileDatabaseDriver();
}

/** The Chromium for the interface tests: the one there is, or Debian's package. */
export async function findChromium() {
  const places = [process.env.SARDONYX_CHROMIUM, '/usr/bin/chromium', '/usr/bin/chromium-browser'].filter(Boolean);
  const found = places.find((place) => existsSync(place));
  if (found) return found;
  await installDebian('chromium', 'the interface tests', '/usr/bin/chromium');
  return '/usr/bin/chromium';
}

/** What reads PDFs in the tests, and shares nothing with what writes them. */
export async function findPoppler() {
  if (!existsSync('/usr/bin/pdftotext'))
    await installDebian('poppler-utils', 'the tests of papers', '/usr/bin/pdftotext');
}

async function installDebian(name, what, path) {
  console.log(`Installing Debian's ${name} package ...`);
  try {
    await run('apt-get', ['update'], { quiet: true });
    await run('apt-get', ['install', '-y', '--no-install-recommends', name], {
      quiet: true,
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  } catch (error) {
    throw new Error(`${what} need Debian's package "${name}". Install it by hand. (${error.message})`, {
      cause: error,
    });
  }
  if (!existsSync(path)) throw new Error(`The ${name} package was installed but ${path} is not there.`);
}
