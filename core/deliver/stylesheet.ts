import type { ProjectDocument } from '../document/projectDocument';
import type { FallbackPlan } from '../fallback/plan';
import { cssRule, cssString, indent } from './css';
import {
  changedSizeProperties,
  colourProperties,
  gridProperties,
  sizeProperties,
  styleProperties,
  voiceProperties,
  type CustomProperty,
} from './customProperties';
import { deliveredFonts, referencedFamilies } from './delivered';
import { changeWidth } from '../scale/sizeAt';
import { widthOf } from '../scale/words';
import { layeredRules } from './elementRules';
import { fallbackFaceRule, webFaceRule, woff2Source } from './fontFaces';

const comment = (text: string): string => `/* ${text} */\n`;

const sizesTitle = ({ scale }: ProjectDocument): string =>
  scale.between === 'media'
    ? `Sizes, which change at ${changeWidth(scale)} px of viewport`
    : `Sizes, from ${scale.small.width} px to ${scale.large.width} px of ${widthOf(scale)}`;

/** The sizes that hold from one width on, where plain sizes change at one; empty where they run. */
export function changedSizes(document: ProjectDocument): string {
  const properties = changedSizeProperties(document);
  if (properties.length === 0) return '';
  const width = changeWidth(document.scale);
  return `@media (min-width: ${width}px) {\n${indent(cssRule(':root', properties))}}\n`;
}

function tokens(document: ProjectDocument, fallback: FallbackPlan): string {
  const groups: [string, CustomProperty[]][] = [
    ['Voices', voiceProperties(document, fallback)],
    [sizesTitle(document), [...sizeProperties(document), ...gridProperties(document)]],
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
export function stylesheet(document: ProjectDocument, fallback: FallbackPlan): string {
  const { display, dark } = document.delivery;
  const parts = [
    comment(`Typography of ${document.name.replaceAll('*/', '* /')}, made with Lettera.`),
    referencedFamilies(document)
      .map(({ stylesheet: address }) => `@import url(${cssString(address)});\n`)
      .join(''),
    comment('Web faces') +
      deliveredFonts(document)
        .map((font) => webFaceRule(font, woff2Source(font.path), font.family.display ?? display))
        .join('\n'),
    comment('Fallback faces: local fonts fitted to the web faces until those arrive') +
      fallback.faces.map((face) => fallbackFaceRule(face)).join('\n'),
    comment('Tokens') + tokens(document, fallback),
    changedSizes(document),
    ...(dark ? [darkColours(document)] : []),
    comment('Elements') + layeredRules(document),
  ];
  return parts.filter(Boolean).join('\n');
}
