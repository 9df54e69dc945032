import { benchAdapters } from './adapt.bench.ts';
import { benchCharts, benchDrag, benchEditing, benchFirstScreen } from './app.bench.ts';
import { benchBends, benchPlan, benchSize } from './core.bench.ts';
import { benchHoses } from './hose.bench.ts';
import { benchClearance, benchClips, benchWays } from './space.bench.ts';

benchBends();
benchPlan();
benchSize();
benchAdapters();
benchClips();
benchClearance();
benchWays();
benchHoses();
await benchFirstScreen();
await benchCharts();
await benchDrag();
await benchEditing(60);
await benchEditing(300);
