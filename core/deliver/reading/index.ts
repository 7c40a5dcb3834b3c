/** Files of tokens, read into a project. */
export { readTokens } from './readTokens';
export type { ReadTokens, Unused } from './outcome';
export { TokensError } from './tokenTree';
