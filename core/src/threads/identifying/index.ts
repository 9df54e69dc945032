// Apart from the rest, since the first screen needs none of it.
export { alikesOf, identify, type ThreadCandidate, type ThreadFound, type ThreadInput } from '../identify.ts';
