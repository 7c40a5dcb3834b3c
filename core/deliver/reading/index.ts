/** Files of tokens, read into a project. */
export { readTokens, type ReadTokens, type Unused } from './readTokens';
export { TokensError } from './tokenTree';
