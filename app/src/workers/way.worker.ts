import { waysFor } from '@firm-line/core/ways';
import type { WayAnswer, WayRequest } from './protocol';

const say = (answer: WayAnswer): void => postMessage(answer);

addEventListener('message', ({ data }: MessageEvent<WayRequest>) => {
  try {
    const ways = waysFor(data.plan, data.lineId, data.pitchMm, { progress: (share) => say({ kind: 'progress', share }) });
    say(
      ways.length
        ? { kind: 'ways', ways }
        : { kind: 'none', message: 'No way leads from one port to the other clear of everything.' },
    );
  } catch (error) {
    say({ kind: 'none', message: (error as Error).message });
  }
});
