import { waysFor, type FoundWay } from '@firm-line/core/ways';
import type { WayRequest } from './protocol';
import type { SearchAnswer } from './search';

const say = (answer: SearchAnswer<readonly FoundWay[]>): void => postMessage(answer);

addEventListener('message', ({ data }: MessageEvent<WayRequest>) => {
  try {
    const ways = waysFor(data.plan, data.lineId, data.pitchMm, { progress: (share) => say({ kind: 'progress', share }) });
    say(
      ways.length
        ? { kind: 'found', found: ways }
        : { kind: 'none', message: 'No way leads from one port to the other clear of everything.' },
    );
  } catch (error) {
    say({ kind: 'none', message: (error as Error).message });
  }
});
