// The package's own types are not reached by its exports.
declare module 'tinykeys' {
  export function tinykeys(
    target: Window | HTMLElement,
    bindings: Readonly<Record<string, (event: KeyboardEvent) => void>>,
  ): () => void;
}
