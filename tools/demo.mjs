import { fail, installPackages, npmRun, ROOT } from './steps.mjs';

installPackages();
console.log('Building…');
if (!npmRun('build')) fail('The build failed: see above.');
process.chdir(ROOT);
await import('../server/dist/main.js');
