import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { installPackages, needChromium, npmRun } from './steps.mjs';

installPackages();
needChromium();

const reports = mkdtempSync(join(tmpdir(), 'firm-line-'));
const total = { passed: 0, failed: 0 };

/** One check that either holds or does not. */
function check(name, script) {
  console.log(`\n— ${name}`);
  if (npmRun(script)) total.passed++;
  else total.failed++;
}

/** A set of tests: each counts, and a set that could not run at all counts as failed. */
function tests(name, script) {
  console.log(`\n— ${name}`);
  const report = join(reports, `${script}.json`);
  const ended = npmRun(script, '--', '--json', `--outputFile=${report}`);
  const found = existsSync(report) ? JSON.parse(readFileSync(report, 'utf8')) : { numPassedTests: 0, numFailedTests: 0 };
  total.passed += found.numPassedTests;
  total.failed += found.numFailedTests || (ended && found.numPassedTests ? 0 : 1);
}

check('lint', 'lint');
check('type check', 'typecheck');
tests('unit tests', 'unit');
check('build', 'build');
tests('browser tests', 'e2e');

console.log(`\n${total.passed} passed, ${total.failed} failed`);
process.exitCode = total.failed ? 1 : 0;
