import type { WayRequest } from '../workers/protocol';
import { answerWays } from '../workers/way-answer';
import { InPage } from './in-page';

export const createWayWorker = (): Worker =>
  new InPage<WayRequest>((request) => answerWays(request, () => undefined)) as unknown as Worker;
