declare module 'occt-import-js' {
  interface OcctMesh {
    readonly name: string;
    readonly attributes: { readonly position: { readonly array: readonly number[] } };
    readonly index: { readonly array: readonly number[] };
  }
  interface Occt {
    ReadStepFile(
      content: Uint8Array,
      options: object | null,
    ): { readonly success: boolean; readonly meshes: readonly OcctMesh[] };
  }
  export default function occt(): Promise<Occt>;
}
