import { isPlainObject } from '../../document/decorators';
import type { ProjectDocument } from '../../document/projectDocument';
import { EXTENSION, TOKENS_FORMAT } from '../designTokens';
import type { ReadTokens } from './outcome';
import { readOthers } from './readOthers';
import { readOwn } from './readOwn';
import { TokensError, TokenTree } from './tokenTree';

/**
 * Reads a file of design tokens, W3C format 2025.10, for a project: Lettera’s own whole, another’s as far as it
 * goes. What cannot be used is reported; nothing of the project is lost but what the change replaces.
 *
 * @throws TokensError for what is no such file
 */
export function readTokens(document: ProjectDocument, text: string): ReadTokens {
  const tree = TokenTree.read(text);
  const own = tree.extensions[EXTENSION];
  if (!isPlainObject(own) || own['format'] === undefined) return readOthers(document, tree);
  const { format } = own;
  if (typeof format !== 'number' || format > TOKENS_FORMAT) {
    throw new TokensError(
      `The file was written by a newer Lettera: its tokens are of form ${String(format)}, and this one reads up to ${TOKENS_FORMAT}.`,
    );
  }
  return readOwn(document, tree, own);
}
