import type { Hose, LineView, Part } from '../../plan/index.ts';

/** What is on a circuit: its lines, its hoses, and the parts that these join. */
export function onCircuit(
  circuitId: string,
  lines: readonly LineView[],
  hoses: readonly Hose[],
  parts: readonly Part[],
): { readonly lines: LineView[]; readonly hoses: Hose[]; readonly parts: Part[] } {
  const own = lines.filter(({ line }) => line.circuitId === circuitId);
  const hosed = hoses.filter((hose) => hose.circuitId === circuitId);
  const ports = new Set(
    [...own.map(({ line }) => line.ends), ...hosed.map(({ ends }) => ends)].flatMap(({ a, b }) => [
      a.portId,
      b.portId,
    ]),
  );
  return {
    lines: own,
    hoses: hosed,
    parts: parts.filter((part) => part.ports.some(({ id }) => ports.has(id))),
  };
}
