import { spawn } from 'node:child_process';
import { fail, installPackages, npmRun, ROOT } from './steps.mjs';

// Live reload at the address Angular prints; demo plans come from the server beside it.
installPackages();
if (!npmRun('build')) fail('The build failed: see above.');
const children = [
  spawn(process.execPath, ['server/dist/main.js'], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, PORT: '4310' },
  }),
  spawn(process.execPath, [`${ROOT}/node_modules/@angular/cli/bin/ng.js`, 'serve'], {
    cwd: `${ROOT}/app`,
    stdio: 'inherit',
  }),
];
const stop = () => children.forEach((child) => child.kill());
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
children[1].on('exit', stop);
