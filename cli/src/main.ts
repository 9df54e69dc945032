import { readFileSync } from 'node:fs';
import { run } from './run.js';

process.exitCode = run(process.argv.slice(2), {
  read: (source) => readFileSync(source, 'utf8'),
  out: (text) => void process.stdout.write(text),
  err: (text) => void process.stderr.write(text),
  nowMs: () => performance.now(),
});
