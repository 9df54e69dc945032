import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

/** The project's folder. */
export const ROOT = fileURLToPath(new URL('..', import.meta.url));
const npm = process.platform === 'win32' ? 'npm.cmd' : 'npm';

/** Runs a command in the project's folder with its output shown; true where it ended well. */
export function run(command, args, options = {}) {
  return spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', ...options }).status === 0;
}
export const npmRun = (script, ...rest) => run(npm, ['run', '--silent', script, ...rest]);

/** The same beside other work: what it said is shown as one piece when it has ended. */
export const npmRunBeside = (script, ...rest) =>
  new Promise((done) => {
    const said = [];
    const child = spawn(npm, ['run', '--silent', script, ...rest], {
      cwd: ROOT,
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (piece) => said.push(piece));
    child.on('close', (code) => {
      process.stdout.write(Buffer.concat(said));
      done(code === 0);
    });
  });

/** Says one sentence and ends. */
export function fail(sentence) {
  console.error(sentence);
  process.exit(1);
}

/** Installs what the lockfile asks for, unless the very same was installed before. */
export function installPackages() {
  const digest = createHash('sha256')
    .update(readFileSync(`${ROOT}/package-lock.json`))
    .digest('hex');
  const mark = `${ROOT}/node_modules/.installed-from`;
  if (existsSync(mark) && readFileSync(mark, 'utf8') === digest) return;
  console.log('Installing packages by the lockfile…');
  if (!run(npm, ['ci', '--no-audit', '--no-fund']))
    fail('The packages could not be installed: see above.');
  mkdirSync(`${ROOT}/node_modules`, { recursive: true });
  writeFileSync(mark, digest);
}

const CHROMIUM = ['/usr/bin/chromium', '/usr/bin/chromium-browser'];
/** Where Debian's Chromium is, or null. */
export const chromium = () =>
  process.env.CHROMIUM ?? CHROMIUM.find((path) => existsSync(path)) ?? null;

/** Finds Chromium or installs Debian's where this user may. */
export function needChromium() {
  if (chromium()) return;
  const isRoot = process.getuid?.() === 0;
  if (!isRoot || !existsSync('/usr/bin/apt-get'))
    fail(
      'The browser tests need Chromium: install Debian\'s package "chromium", or set CHROMIUM to its path.',
    );
  console.log('Installing Chromium…');
  run('apt-get', ['update', '-qq'], { stdio: 'ignore' });
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  });
  if (!chromium())
    fail(
      'Chromium could not be installed: install Debian\'s package "chromium", or set CHROMIUM to its path.',
    );
}
