import { derive } from '../../lib/derive/index.ts';
import { networkOf, type Duct, type Network } from '../../physics/flow-graph/index.ts';
import type { Hose, Line, Plan } from '../model/index.ts';
import { passagesOf } from './passages.ts';

/** An end that stands nowhere yet is a port of its own. */
const portOr = (portId: string | null, id: string, end: 'a' | 'b'): string =>
  portId ?? `${id}:${end}`;
const ductOf = derive(
  'duct',
  ({ ends, id }: Line | Hose, kind: Duct['kind']) => [ends, id, kind],
  (ends, id, kind): readonly Duct[] => [
    {
      id,
      kind,
      from: portOr(ends.a.portId, id, 'a'),
      to: portOr(ends.b.portId, id, 'b'),
      supplies: false,
    },
  ],
);
const ofDucts = derive(
  'network of ducts',
  // Piece by piece, not duct by duct: a part may have hundreds of passages.
  (
    owner: object,
    pieces: readonly (readonly Duct[])[],
  ): readonly [object, ...(readonly Duct[])[]] => [owner, ...pieces],
  (_owner, ...pieces): Network => networkOf([], pieces.flat()),
);

/**
 * The network of a plan: ports joined by its tubes, its hoses and the passages inside its parts. It is the
 * same while those are: a line that is bent or a part that is renamed leaves it alone. A port that nothing
 * joins is not in it.
 */
export const planNetwork = derive(
  'network',
  ({ parts, lines, hoses, bench }: Pick<Plan, 'parts' | 'lines' | 'hoses' | 'bench'>) => [
    parts,
    lines,
    hoses,
    bench,
  ],
  (parts, lines, hoses, bench): Network =>
    ofDucts(bench, [
      ...lines.map((line) => ductOf(line, 'tube')),
      ...hoses.map((hose) => ductOf(hose, 'hose')),
      ...parts.map((part) => passagesOf(part)),
    ]),
);
