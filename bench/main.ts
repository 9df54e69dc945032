import { benchEditing, benchFirstScreen } from './app.bench.ts';
import { benchBends, benchPlan } from './core.bench.ts';

benchBends();
benchPlan();
await benchFirstScreen();
await benchEditing(60);
await benchEditing(300);
