import { derive } from '../../lib/derive/index.ts';
import { AXLES, BY_AXLE, type Axle, type CircuitShare } from '../../physics/hydraulics/index.ts';
import type { Network } from '../../physics/flow-graph/index.ts';
import { axleOf, pressingFeeds, serviceFeeds } from '../network/index.ts';
import type { PortView } from '../layout/line-view.ts';
import { isBrake, type Part, type Pedal } from '../model/index.ts';

const nameOf = ({ front, rear }: CircuitShare['share'], brakes: readonly Part[]): string =>
  BY_AXLE.find(({ share }) => share.front === front && share.rear === rear)?.name ??
  brakes.map(({ name }) => name).join(' and ');

/**
 * The circuits as they are drawn: for each outlet the share of each axle's brakes that it presses. One an
 * axle where the drawing does not feed every brake of both axles once.
 */
export const brakeCircuits = derive(
  'brake circuits',
  (
    network: Network,
    parts: readonly Part[],
    ports: ReadonlyMap<string, PortView>,
    wheelbaseMm: number,
    pedals: ReadonlyMap<string, Pedal>,
    isMotorcycle: boolean,
  ) => [network, parts, ports, wheelbaseMm, pedals, isMotorcycle],
  (network, parts, ports, wheelbaseMm, pedals, isMotorcycle): readonly CircuitShare[] => {
    const brakes = parts
      .filter(isBrake)
      .map((part) => ({ part, axle: axleOf(part, ports, wheelbaseMm) }));
    const on = (axle: Axle) => brakes.filter((one) => one.axle === axle);
    const feeds = serviceFeeds(pressingFeeds(network, parts, pedals), isMotorcycle);
    const circuits = feeds.flatMap((feed): CircuitShare[] => {
      const own = brakes.filter(({ part }) => feed.brakes.includes(part));
      const of = (axle: Axle): number =>
        own.filter((one) => one.axle === axle).length / Math.max(1, on(axle).length);
      const share = { front: of('front'), rear: of('rear') };
      return own.length
        ? [
            {
              name: nameOf(
                share,
                own.map(({ part }) => part),
              ),
              share,
            },
          ]
        : [];
    });
    const whole = AXLES.every(
      (axle) =>
        on(axle).length &&
        Math.abs(circuits.reduce((sum, { share }) => sum + share[axle], 0) - 1) < 1e-9,
    );
    return whole ? circuits : BY_AXLE;
  },
);
