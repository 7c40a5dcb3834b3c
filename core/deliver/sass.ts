import type { ProjectDocument } from '../document/projectDocument';
import type { FallbackPlan } from '../fallback/plan';
import { customProperties } from './customProperties';

/**
 * `_tokens.scss`: a Sass variable for each token, referring to the custom property of the same name, so
 * that Sass and CSS never hold two values.
 */
export function sassTokens(document: ProjectDocument, fallback: FallbackPlan): string {
  const lines = customProperties(document, fallback).map(
    ([name]) => `$${name.slice(2)}: var(${name});`,
  );
  return ['// The tokens of lettera.css as Sass variables.', ...lines, ''].join('\n');
}
