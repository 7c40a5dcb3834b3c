import type { ProjectDocument } from '../document/projectDocument';
import type { FallbackPlan } from '../fallback/plan';
import { indent } from './css';
import { customProperties } from './customProperties';
import { ruleOf } from './elementRules';

/**
 * `_tokens.scss`: for each token a Sass variable that refers to the custom property of the same name, so that
 * Sass and CSS never hold two values; the same as a map; and for each text style a mixin with what it sets.
 */
export function sassTokens(document: ProjectDocument, fallback: FallbackPlan): string {
  const names = customProperties(document, fallback).map(([name]) => name.slice(2));
  const mixins = Object.keys(document.styles).map((style) => {
    // A rule for the selector that it is included in, which Sass writes as “&”.
    const body = indent(ruleOf(document, (state) => `&${state}`, { style, selectors: [] }));
    return `@mixin style-${style} {\n${body}}`;
  });
  return [
    '// The tokens of lettera.css as Sass variables.',
    ...names.map((name) => `$${name}: var(--${name});`),
    '',
    '// The same as a map, by name.',
    '$tokens: (',
    ...names.map((name) => `  '${name}': $${name},`),
    ');',
    '',
    '// The text styles: `.teaser { @include tokens.style-lead; }`',
    ...mixins,
    '',
  ].join('\n');
}
