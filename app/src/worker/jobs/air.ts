import type { AirNetwork } from '@firm-line/core/physics/air';
import {
  airNow,
  predictSchools,
  type AirNow,
  type Asked,
  type Predicted,
} from '@firm-line/core/stations/fill';
import type { FillRun } from '@firm-line/core/plan';

export const airJobs = {
  /** What each school leaves behind and takes. */
  schools: (asked: Asked): Predicted[] => predictSchools(asked),
  /** Where the air stands after what was told of a run. */
  now: ({
    network,
    run,
    fluidId,
  }: {
    readonly network: AirNetwork;
    readonly run: FillRun;
    readonly fluidId: string;
  }): AirNow => airNow(network, run, fluidId),
};
