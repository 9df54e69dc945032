import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { ROOT } from './steps.mjs';

/** Lines of specs and browser tests over all code: everything that is tracked and written by hand, blank lines left out. */
const files = execFileSync('git', ['ls-files', '-co', '--exclude-standard'], {
  cwd: ROOT,
  encoding: 'utf8',
})
  .split('\n')
  .filter((file) => /\.(ts|mjs|css|html)$/.test(file));
const lines = (file) =>
  readFileSync(`${ROOT}/${file}`, 'utf8')
    .split('\n')
    .filter((line) => line.trim()).length;
const isTest = (file) => /\.spec\.ts$|^e2e\//.test(file);
const all = files.reduce((sum, file) => sum + lines(file), 0);
const tests = files.filter(isTest).reduce((sum, file) => sum + lines(file), 0);
console.log(`${tests} of ${all} lines are tests: ${((100 * tests) / all).toFixed(1)} %`);
