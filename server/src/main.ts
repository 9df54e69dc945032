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
  fail(`PORT is "${process.env['PORT']}". It should be a number from 0 to 65535.`);
if (!existsSync(`${folders.app}/index.html`))
  fail('The app is not built yet. Run "npm run build" first, or "npm run demo" to do everything.');

const isOpenToOthers = !['localhost', '127.0.0.1', '::1'].includes(host);
if (isOpenToOthers)
  console.warn(
    `HOST=${host}: other machines can reach this server, and there is no login. Over plain HTTP, keep each plan open in one tab only, because locks between tabs need HTTPS.`,
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
    fail(`Port ${port} is in use. Choose another with PORT=4311 npm run demo.`);
  if (error.code === 'EACCES')
    fail(
      `Port ${port} is not allowed for this user. Choose one above 1023 with PORT=4311 npm run demo.`,
    );
  fail(`The server cannot listen on ${host}:${port}: ${error.message}`);
});
