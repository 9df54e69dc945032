import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { installPackages, needChromium, npmRun, npmRunBeside } from './steps.mjs';

installPackages();
needChromium();

const reports = mkdtempSync(join(tmpdir(), 'firm-line-'));
const total = { passed: 0, failed: 0 };

const secondsSince = (began) => Math.round((Date.now() - began) / 1000);

/** One check that either holds or does not. */
async function check(name, script, ...rest) {
  const began = Date.now();
  const held = await npmRunBeside(script, ...rest);
  console.log(`— ${name} ${held ? 'holds' : 'does not hold'}, ${secondsSince(began)} s`);
  total[held ? 'passed' : 'failed']++;
}

/** A set of tests: each counts, and a set that could not run at all counts as failed. */
function tests(name, script) {
  console.log(`\n— ${name}`);
  const report = join(reports, `${script}.json`);
  const began = Date.now();
  const ended = npmRun(script, '--', '--json', `--outputFile=${report}`);
  console.log(`— ${name}: ${secondsSince(began)} s`);
  const found = existsSync(report)
    ? JSON.parse(readFileSync(report, 'utf8'))
    : { numPassedTests: 0, numFailedTests: 0 };
  total.passed += found.numPassedTests;
  total.failed += found.numFailedTests || (ended && found.numPassedTests ? 0 : 1);
}

// Each keeps one processor busy. The type check and the build write the same folders: one after the other.
await Promise.all([
  check('lint', 'lint').then(() => check('words', 'words', '--', '--check')),
  check('type check', 'typecheck').then(() => check('build', 'build')),
]);
tests('unit tests', 'unit');
tests('browser tests', 'e2e');

console.log(`\n${total.passed} passed, ${total.failed} failed`);
process.exitCode = total.failed ? 1 : 0;
