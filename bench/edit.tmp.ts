import { benchEditing, benchFirstScreen } from './app.bench.ts';
if (process.argv[2] === 'first') await benchFirstScreen();
else await benchEditing(Number(process.argv[2] ?? 60), 30);
