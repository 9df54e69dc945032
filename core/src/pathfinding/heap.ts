/** The least of many keyed states first: a binary heap in flat arrays that grow. */
export class StateHeap {
  private keys = new Float64Array(1024);
  private states = new Int32Array(1024);
  private count = 0;

  get size(): number {
    return this.count;
  }

  push(key: number, state: number): void {
    if (this.count === this.keys.length) {
      const [keys, states] = [new Float64Array(2 * this.count), new Int32Array(2 * this.count)];
      keys.set(this.keys);
      states.set(this.states);
      [this.keys, this.states] = [keys, states];
    }
    const keys = this.keys;
    const states = this.states;
    let at = this.count++;
    while (at > 0) {
      const above = (at - 1) >> 1;
      if (keys[above]! <= key) break;
      keys[at] = keys[above]!;
      states[at] = states[above]!;
      at = above;
    }
    keys[at] = key;
    states[at] = state;
  }

  /** Key of the least; only while there is one. */
  get least(): number {
    return this.keys[0]!;
  }

  /** Takes the state with the least key. */
  pop(): number {
    const keys = this.keys;
    const states = this.states;
    const top = states[0]!;
    const last = --this.count;
    const key = keys[last]!;
    const state = states[last]!;
    let at = 0;
    for (let child = 1; child < last; child = 2 * at + 1) {
      if (child + 1 < last && keys[child + 1]! < keys[child]!) child++;
      if (keys[child]! >= key) break;
      keys[at] = keys[child]!;
      states[at] = states[child]!;
      at = child;
    }
    keys[at] = key;
    states[at] = state;
    return top;
  }
}
