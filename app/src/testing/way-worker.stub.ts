import { waysFor } from '@firm-line/core/ways';
import type { WayRequest } from '../workers/protocol';
import { InPage } from './in-page';

export const createWayWorker = (): Worker =>
  new InPage<WayRequest>(({ plan, lineId, pitchMm }) => ({
    kind: 'found',
    found: waysFor(plan, lineId, pitchMm),
  })) as unknown as Worker;
