/** The first input owns the cache entry: when it is collected, so is the value. */
type Inputs = [object, ...unknown[]];

/** A value that follows from its inputs, computed once for them. */
export interface Derived<A extends readonly unknown[], V> {
  (...from: A): V;
  /** Lets the value be known where it was computed elsewhere, such as in a worker. */
  put(value: V, ...from: A): void;
}
/** How often a derived value was computed, how often it was at hand, and how long computing took. */
export interface Spent {
  readonly name: string;
  computed: number;
  kept: number;
  ms: number;
}

let clock: (() => number) | null = null;
const spent = new Set<Spent>();

/** Begins to count what derived values cost, by a clock in ms; the list it returns goes on counting. */
export function measureDerived(now: () => number): ReadonlySet<Spent> {
  clock = now;
  for (const one of spent) Object.assign(one, { computed: 0, kept: 0, ms: 0 });
  return spent;
}

const same = (a: readonly unknown[], b: readonly unknown[]): boolean => {
  for (let i = 1; i < a.length; i++) if (!Object.is(a[i], b[i])) return false;
  return a.length === b.length;
};

/**
 * The only cache there is. `inputs` says what a value rests on, field by field where only some fields
 * count; `compute` is given those inputs and sees nothing else. While every input is the same, so is the
 * value. `keep` is how many sets of inputs are kept for one first input. What throws is not kept.
 */
export function derive<A extends readonly unknown[], I extends Inputs, V>(
  name: string,
  inputs: (...from: A) => readonly [...I],
  compute: (...inputs: I) => V,
  keep = 1,
): Derived<A, V> {
  const known = new WeakMap<object, { inputs: readonly [...I]; value: V }[]>();
  const cost: Spent = { name, computed: 0, kept: 0, ms: 0 };
  spent.add(cost);
  const remember = (now: readonly [...I], value: V): V => {
    const key: object = now[0]!;
    const before = known.get(key);
    known.set(
      key,
      before && keep > 1
        ? [{ inputs: now, value }, ...before.slice(0, keep - 1)]
        : [{ inputs: now, value }],
    );
    return value;
  };
  const get = (...from: A): V => {
    const now = inputs(...from);
    for (const one of known.get(now[0]!) ?? []) {
      if (!same(one.inputs, now)) continue;
      cost.kept++;
      return one.value;
    }
    const began = clock?.() ?? 0;
    const value = compute(...now);
    cost.computed++;
    if (clock) cost.ms += clock() - began;
    return remember(now, value);
  };
  return Object.assign(get, {
    put: (value: V, ...from: A): void => void remember(inputs(...from), value),
  });
}

/**
 * A value that follows from two objects, computed once while both are there, for as many pairs as there are. It is for
 * what compares each of many with each other: an edit of one computes its own pairs anew and no others.
 */
export function derivePair<A extends object, B extends object, V>(
  name: string,
  compute: (a: A, b: B) => V,
): (a: A, b: B) => V {
  const known = derive(
    name,
    (a: A) => [a],
    () => new WeakMap<B, { readonly value: V }>(),
  );
  return (a, b) => {
    const others = known(a);
    const one = others.get(b) ?? { value: compute(a, b) };
    others.set(b, one);
    return one.value;
  };
}
