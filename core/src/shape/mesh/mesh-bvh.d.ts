// The tree alone: the package's own entrance brings shaders along. Its types are those of the whole.
declare module 'three-mesh-bvh/src/core/MeshBVH.js' {
  export { MeshBVH } from 'three-mesh-bvh';
}
