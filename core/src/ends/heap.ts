/** Items by weight, the least on top. */
export class Heap<T> {
  private readonly weights: number[] = [];
  private readonly items: T[] = [];
  add(weight: number, item: T): void {
    const { weights, items } = this;
    let i = weights.length;
    weights.push(weight);
    items.push(item);
    while (i > 0) {
      const up = (i - 1) >> 1;
      if (weights[up]! <= weight) break;
      weights[i] = weights[up]!;
      items[i] = items[up]!;
      i = up;
    }
    weights[i] = weight;
    items[i] = item;
  }
  take(): { readonly weight: number; readonly item: T } | null {
    const { weights, items } = this;
    if (!weights.length) return null;
    const best = { weight: weights[0]!, item: items[0]! };
    const weight = weights.pop()!;
    const item = items.pop()!;
    const count = weights.length;
    if (!count) return best;
    let i = 0;
    for (;;) {
      let child = 2 * i + 1;
      if (child >= count) break;
      if (child + 1 < count && weights[child + 1]! < weights[child]!) child++;
      if (weights[child]! >= weight) break;
      weights[i] = weights[child]!;
      items[i] = items[child]!;
      i = child;
    }
    weights[i] = weight;
    items[i] = item;
    return best;
  }
}
