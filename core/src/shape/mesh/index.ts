export { meshIndex, treeOf, type MeshData } from './mesh-index.ts';
