import { answerHoses } from '../workers/hose-answer';
import type { HoseRequest } from '../workers/protocol';
import { InPage } from './in-page';

export const createHoseWorker = (): Worker =>
  new InPage<HoseRequest>((request) => answerHoses(request, () => undefined)) as unknown as Worker;
