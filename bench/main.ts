import { benchAdapters } from './adapt.bench.ts';
import { benchCharts, benchEditing, benchFirstScreen } from './app.bench.ts';
import { benchBends, benchPlan, benchSize } from './core.bench.ts';

benchBends();
benchPlan();
benchSize();
benchAdapters();
await benchFirstScreen();
await benchCharts();
await benchEditing(60);
await benchEditing(300);
