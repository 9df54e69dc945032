/** Charts need a canvas, which this environment lacks; what they are given is asserted by the words beside them. */
export class Chart {
  static readonly defaults = { font: {} };
  static register(): void {}
  readonly data: { readonly datasets: readonly unknown[] };
  readonly options = {};
  constructor(_: unknown, { data }: Pick<Chart, 'data'>) {
    this.data = data;
  }
  update(): void {}
  destroy(): void {}
}
