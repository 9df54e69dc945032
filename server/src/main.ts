import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { createApp } from './app.ts';

const at = (path: string): string => fileURLToPath(new URL(path, import.meta.url));
const folders = { app: at('../../app/dist/app/browser'), demo: at('../../demo') };
const host = process.env['HOST'] ?? 'localhost';
const port = Number(process.env['PORT'] ?? 4310);

function fail(sentence: string): never {
  console.error(sentence);
  process.exit(1);
}

if (!Number.isInteger(port) || port < 0 || port > 65535)
  fail(`PORT is "${process.env['PORT']}": it should be a number from 0 to 65535.`);
if (!existsSync(`${folders.app}/index.html`))
  fail('The app is not built yet: run "npm run build" first, or "npm run demo" for all of it.');

const isOpenToOthers = !['localhost', '127.0.0.1', '::1'].includes(host);
if (isOpenToOthers)
  console.warn(
    `HOST=${host}: other machines can reach this server, and it asks nobody who they are. Over plain HTTP their browsers keep plans, but one plan should be open in one tab alone: locks between tabs want HTTPS.`,
  );
const listening = createApp(folders).listen(port, host);
listening.on('listening', () => {
  const address = listening.address();
  const open = typeof address === 'object' && address ? address.port : port;
  console.log(
    `Firm Line is at http://${host}:${open}/plan/gannet/route with the demo plan open. Stop it with Ctrl C.`,
  );
});
listening.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EADDRINUSE')
    fail(`Port ${port} is taken by another program: choose one with PORT=4311 npm run demo.`);
  if (error.code === 'EACCES')
    fail(
      `Port ${port} is not allowed to this user: choose one above 1023 with PORT=4311 npm run demo.`,
    );
  fail(`The server cannot listen on ${host}:${port}: ${error.message}`);
});
