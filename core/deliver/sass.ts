import type { ProjectDocument } from '../document/projectDocument';
import type { FallbackTrials } from '../fallback/fallbackFace';
import { customProperties } from './customProperties';

/**
 * `_tokens.scss`: a Sass variable for each token, referring to the custom property of the same name, so
 * that Sass and CSS never hold two values.
 */
export function sassTokens(document: ProjectDocument, trials: FallbackTrials): string {
  const lines = customProperties(document, trials).map(
    ([name]) => `$${name.slice(2)}: var(${name});`,
  );
  return ['// The tokens of lettera.css as Sass variables.', ...lines, ''].join('\n');
}
