import { nodeProject } from '../tools/jest-node.mjs';
export default nodeProject('cli');
