import type { ProjectDocument } from '../document/projectDocument';
import type { FallbackTrials } from '../fallback/fallbackFace';
import { cssRule, cssString, indent } from './css';
import {
  colourProperties,
  sizeProperties,
  styleProperties,
  voiceProperties,
  type CustomProperty,
} from './customProperties';
import { deliveredFonts, referencedFamilies } from './delivered';
import { elementRules } from './elementRules';
import { fallbackFaceRule, fallbackFaces, webFaceRule } from './fontFaces';

const comment = (text: string): string => `/* ${text} */\n`;

function tokens(document: ProjectDocument, trials: FallbackTrials): string {
  const groups: [string, CustomProperty[]][] = [
    ['Voices', voiceProperties(document, trials)],
    [
      `Sizes, from ${document.scale.small.width} px to ${document.scale.large.width} px of viewport`,
      sizeProperties(document),
    ],
    ['Colours', colourProperties(document, 'light')],
    ['Text styles', styleProperties(document)],
  ];
  const body = groups
    .map(([title, properties]) => {
      const lines = properties.map(([name, value]) => `${name}: ${value};\n`).join('');
      return `${comment(title)}${lines}`;
    })
    .join('\n');
  return `:root {\n${indent(body)}}\n`;
}

const darkColours = (document: ProjectDocument): string =>
  `@media (prefers-color-scheme: dark) {\n${indent(
    cssRule(':root', colourProperties(document, 'dark')),
  )}}\n`;

/** `lettera.css`: faces, fallback faces, tokens and element rules, in that order. */
export function stylesheet(document: ProjectDocument, trials: FallbackTrials): string {
  const { layer, display, dark } = document.delivery;
  const rules = elementRules(document);
  const parts = [
    comment(`Typography of ${document.name.replaceAll('*/', '* /')}, made with Lettera.`),
    referencedFamilies(document)
      .map(({ stylesheet: address }) => `@import url(${cssString(address)});\n`)
      .join(''),
    comment('Web faces') +
      deliveredFonts(document)
        .map((font) => webFaceRule(font, font.path, display))
        .join('\n'),
    comment('Fallback faces: local fonts fitted to the web faces until those arrive') +
      fallbackFaces(document, trials)
        .map((face) => fallbackFaceRule(face))
        .join('\n'),
    comment('Tokens') + tokens(document, trials),
    ...(dark ? [darkColours(document)] : []),
    comment('Elements') + (layer ? `@layer ${layer} {\n${indent(rules)}}\n` : rules),
  ];
  return parts.filter(Boolean).join('\n');
}
