export { meshIndex, treeOf, type MeshData } from './mesh-index.ts';
export { MESH_ENDINGS, MOST_MESH_BYTES, MOST_TRIANGLES, readMesh } from './read-mesh.ts';
