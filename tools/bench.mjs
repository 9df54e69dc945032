import { installPackages, needChromium, npmRun, run } from './steps.mjs';

installPackages();
needChromium();
if (process.argv.includes('--no-build') || npmRun('build'))
  run('npx', ['tsx', 'bench/main.ts', ...process.argv.slice(2)]);
