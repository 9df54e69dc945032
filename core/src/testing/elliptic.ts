/**
 * Elliptic functions by the arithmetic-geometric mean, for checking bent rods against the elastica.
 * Source: M. Abramowitz and I. Stegun, Handbook of Mathematical Functions, 16.4 and 17.6, from memory.
 */
interface Ladder {
  readonly a: readonly number[];
  readonly c: readonly number[];
}

function ladder(k: number): Ladder {
  const a = [1];
  const c = [k];
  let b = Math.sqrt(1 - k * k);
  while (Math.abs(c.at(-1)!) > 1e-16 && a.length < 40) {
    const last = a.at(-1)!;
    a.push((last + b) / 2);
    c.push((last - b) / 2);
    b = Math.sqrt(last * b);
  }
  return { a, c };
}

/** Complete integrals of the first and the second kind of modulus k. */
export function complete(k: number): { K: number; E: number } {
  const { a, c } = ladder(k);
  const K = Math.PI / (2 * a.at(-1)!);
  return { K, E: K * (1 - c.reduce((sum, one, n) => sum + 2 ** (n - 1) * one * one, 0)) };
}

/** sn and cn of u, the amplitude, and the incomplete integral of the second kind at it. */
export function jacobi(u: number, k: number): { sn: number; cn: number; E: number } {
  const { a, c } = ladder(k);
  const n = a.length - 1;
  let angle = 2 ** n * a[n]! * u;
  const whole = complete(k);
  let E = (whole.E / whole.K) * u;
  for (let i = n; i > 0; i--) {
    E += c[i]! * Math.sin(angle);
    angle = (angle + Math.asin((c[i]! / a[i]!) * Math.sin(angle))) / 2;
  }
  return { sn: Math.sin(angle), cn: Math.cos(angle), E };
}
