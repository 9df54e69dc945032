import { answerHoses } from './hose-answer';
import type { HoseFound, HoseRequest } from './protocol';
import type { SearchAnswer } from './search';

const say = (answer: SearchAnswer<HoseFound>): void => postMessage(answer);

addEventListener('message', ({ data }: MessageEvent<HoseRequest>) => {
  try {
    say(answerHoses(data, (share) => say({ kind: 'progress', share })));
  } catch (error) {
    say({ kind: 'none', message: (error as Error).message });
  }
});
