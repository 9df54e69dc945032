/** What stands side by side in a row: each with its width and where its left edge would be best. */
export interface InRow {
  readonly id: string;
  readonly width: number;
  readonly wantedX: number;
}

/**
 * Left edges of boxes in their order, each as near to where it would lie best as the others let it: least squares by
 * pooling those that push one another. Source: Ayer et al., Ann. Math. Statist. 26 (1955), from memory.
 */
export function spreadLefts(boxes: readonly InRow[], gap: number): Map<string, number> {
  let before = 0;
  const offsets = boxes.map(({ width }) => {
    const offset = before;
    before += width + gap;
    return offset;
  });
  const pools: { sum: number; count: number }[] = [];
  boxes.forEach(({ wantedX }, i) => {
    pools.push({ sum: wantedX - offsets[i]!, count: 1 });
    for (;;) {
      const [ahead, last] = [pools.at(-2), pools.at(-1)!];
      if (!ahead || ahead.sum / ahead.count <= last.sum / last.count) break;
      pools.splice(-2, 2, { sum: ahead.sum + last.sum, count: ahead.count + last.count });
    }
  });
  const bases = pools.flatMap(({ sum, count }) => Array.from({ length: count }, () => sum / count));
  return new Map(boxes.map(({ id }, i) => [id, bases[i]! + offsets[i]!]));
}

/** The middle value; of an even count the lower of the two, so that one of the wires runs straight. */
export function lowerMedian(values: readonly number[]): number | null {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted.length ? sorted[(sorted.length - 1) >> 1]! : null;
}
