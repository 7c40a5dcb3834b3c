import { textFacts as say } from './words';
import { familiesIn } from '@lettera/core/css';
import { contrastRatio } from '@lettera/core/style';
import {
  descriptorOf,
  PROPERTIES,
  PROPERTY_NAMES,
  type ProjectDocument,
  type PropertyName,
} from '@lettera/core/document';
import { localName, type FallbackPlan } from '@lettera/core/fallback';
import { inUnicodeRange } from '@lettera/core/font';
import { Decisions, type Decision, type Pieces, type TypeRules } from '@lettera/core/page';
import { carries, matchFace, resolveElement, type TraceStep } from '@lettera/core/style';
import { isGeneric, LetterFinder } from '../../reader/faceUsed';
import { Grounds } from '../../reader/grounds';
import { charactersALine } from '../../reader/charactersALine';
import { cascadeOf } from './pageCascade';
import { elementsWithStyle, styledElement } from '../pageText';

/** A face that sets letters of a text, and how that is known. */
export interface UsedFace {
  /** The name that it has in the stack. */
  family: string;
  kind: 'web' | 'fallback' | 'local' | 'generic' | 'unknown';
  /** What it is, in words: its file, or the font of the machine. */
  source: string;
  /** Letters that it sets, each once. */
  letters: string;
}

/** A property of a text: its value, and what decides it. */
export interface DecidedProperty {
  label: string;
  css: string;
  value: string;
  /** Whether the project decides it, or nothing does. */
  follows: boolean;
  /** What decides it, in words. */
  by: string;
}

/** What is known of a text that was clicked. */
export interface TextFacts {
  words: string;
  /** Key of its text element and of its style; null where none claims it. */
  element: string | null;
  style: string | null;
  properties: DecidedProperty[];
  /** CSS px. */
  size: number;
  /** The step of the scale that it has its size from; null where the project does not decide that. */
  step: number | null;
  lineHeight: number;
  /** Characters a line, of its longest lines; null for a text of one line. */
  measure: number | null;
  weight: { asked: number; shown: number | null; faked: boolean };
  faces: UsedFace[];
  /** Contrast with the ground that it stands on; null, and why, where that is a picture. */
  contrast: { ratio: number; ground: string } | { unknown: string };
  /** Texts of that style on the page. */
  places: number;
}

/** What overrules, in words: the selector and where it stands. */
export function inWords(by: Exclude<Decision<Element>, null>['declared']): string {
  if (by === 'browser') return say.browsersOwnStyleSheet;
  if (by.by === 'project') return say.lettera;
  if (by.by === 'inline') return say.styleAttribute(by.important ? ', !important' : '');
  const { rule, selector, specificity, declaration } = by;
  return [
    say.inLine(selector, sheetName(rule.sheet), rule.line),
    say.specificity(specificity.join('-')),
    rule.layer ? say.layer(rule.layer.join('.')) : null,
    declaration.property === 'font' || declaration.property === 'all'
      ? say.by(declaration.property)
      : null,
    declaration.important ? '!important' : null,
  ]
    .filter(Boolean)
    .join(', ');
}

/** A sheet as people call it: its path, or its place where it stands in the page. */
export const sheetName = (path: string): string => {
  const [, page, number] = /^(.*)\.style-(\d+)\.css$/.exec(path) ?? [];
  return page ? say.styleElement(number ?? '', page) : path;
};

/** Where a property of a style comes from, in words. */
function traceInWords(document: ProjectDocument, trace: readonly TraceStep[]): string {
  const last = trace.at(-1);
  const name = (style: string | null) => document.styles[style ?? '']?.name ?? style ?? '';
  if (!last) return '';
  if (last.origin === 'set') return say.set(name(last.style));
  if (last.origin === 'style') return say.follows(name(last.style));
  if (last.origin === 'parent') return say.fromAround(name(last.style));
  return last.origin === 'body' ? say.from(name(last.style)) : say.browsersDefault;
}

function propertyOf(
  document: ProjectDocument,
  decisions: Decisions<Element>,
  node: Element,
  name: PropertyName,
): DecidedProperty {
  const property = PROPERTIES[name];
  const style = node.ownerDocument.defaultView?.getComputedStyle(node);
  const decision = decisions.of(node, property);
  const value = style?.getPropertyValue(property.css) ?? '';
  const { label, css } = property;
  if (!decision) return { label, css, value, follows: true, by: say.nothingSets };
  const { declared } = decision;
  if (declared === 'browser' || declared.by !== 'project') {
    return { label, css, value, follows: false, by: inWords(declared) };
  }
  const element = document.elements[declared.element];
  const trace = element ? resolveElement(document, declared.element)[name].trace : [];
  return { label, css, value, follows: true, by: traceInWords(document, trace) };
}

/** Which faces set a text, from what the browser does with each of its letters. */
function facesOf(
  document: ProjectDocument,
  plan: FallbackPlan,
  node: Element,
  text: string,
): UsedFace[] {
  const page = node.ownerDocument;
  const style = page.defaultView?.getComputedStyle(node);
  if (!style) return [];
  const { fontFamily, fontWeight, fontStyle } = style;
  const slant = fontStyle === 'normal' ? 'normal' : fontStyle === 'italic' ? 'italic' : 'oblique';
  const found = new LetterFinder(page).lettersBy(
    text,
    familiesIn(fontFamily),
    `${fontStyle} ${fontWeight}`,
  );
  const kindOf = (family: string, letters: string): Pick<UsedFace, 'kind' | 'source'> => {
    const known = Object.values(document.case).find(({ name }) => name === family);
    if (known) {
      const match = matchFace(known.faces, { weight: Number(fontWeight), slant });
      const files = match?.face.files.filter(({ unicodeRange }) =>
        [...letters].some((letter) => inUnicodeRange(unicodeRange, letter.codePointAt(0) ?? 0)),
      );
      const scripts = [...new Set(files?.map(({ script }) => script))].join(', ');
      return {
        kind: 'web',
        source: say.file(
          match?.face.style ?? '',
          match?.face.weightMin ?? '',
          match && match.face.weightMax !== match.face.weightMin ? `–${match.face.weightMax}` : '',
          scripts,
        ),
      };
    }
    const planned = plan.faces.find(({ name }) => name === family);
    if (planned) {
      return {
        kind: 'fallback',
        source: say.ofMachineOrOpen(localName(planned.local)),
      };
    }
    if ([...page.fonts].some((face) => face.family.replace(/^"|"$/g, '') === family)) {
      return { kind: 'web', source: say.fontPagesOwn };
    }
    return isGeneric(family)
      ? { kind: 'generic', source: say.whatBrowserTakes }
      : { kind: 'local', source: say.fontMachine };
  };
  return [...found].map(([family, letters]): UsedFace =>
    family === null
      ? {
          family: say.anotherFont,
          kind: 'unknown',
          source: say.noneStackThemBrowser,
          letters,
        }
      : { family, letters, ...kindOf(family, letters) },
  );
}

/** The step that a text has its size from, its own or that of a text around it. */
function stepOf(
  document: ProjectDocument,
  decisions: Decisions<Element>,
  node: Element,
): number | null {
  const declared = decisions.of(node, PROPERTIES.step)?.declared;
  if (!declared || declared === 'browser' || declared.by !== 'project') return null;
  if (!document.elements[declared.element]) return null;
  const { step } = resolveElement(document, declared.element);
  return carries(step) ? step.value : null;
}

/** An element and all that stand around it: what a text has is decided there. */
const withAround = (node: Element): Element[] => {
  const found: Element[] = [];
  for (let at: Element | null = node; at; at = at.parentElement) found.push(at);
  return found;
};

/** What is known of the text of an element of a page that is shown. */
export function* textFactsOf(
  document: ProjectDocument,
  plan: FallbackPlan,
  node: Element,
  rules: TypeRules,
): Pieces<TextFacts> {
  const page = node.ownerDocument;
  const style = page.defaultView?.getComputedStyle(node);
  const own = (node.textContent ?? '').replace(/\s+/g, ' ').trim();
  // What is set is what case makes of it.
  const text = style?.textTransform === 'uppercase' ? own.toUpperCase() : own;
  const around = withAround(node);
  const find = (selector: string): Element[] => {
    try {
      return around.filter((at) => at.matches(selector));
    } catch {
      return [];
    }
  };
  const cascade = yield* cascadeOf(document, page, rules, { find });
  const decisions = new Decisions(cascade, (at, selector) => at.matches(selector));
  const claimed = styledElement(document, node);
  const element = claimed && claimed.node !== page.body ? claimed.key : null;
  const styleKey = claimed ? (document.elements[claimed.key]?.style ?? null) : null;
  const weight = Number(style?.fontWeight ?? 400);
  const size = parseFloat(style?.fontSize ?? '0');
  const faces = facesOf(document, plan, node, text);
  const web = faces.find(({ kind }) => kind === 'web');
  const family = Object.values(document.case).find(({ name }) => name === web?.family);
  const slant = style?.fontStyle === 'normal' ? 'normal' : 'italic';
  const match = family ? matchFace(family.faces, { weight, slant }) : null;
  const ground = new Grounds().of(node);
  return {
    words: text,
    element,
    style: styleKey,
    properties: PROPERTY_NAMES.filter((name) => cascade.isOurs(node, descriptorOf(name))).map(
      (name) => propertyOf(document, decisions, node, name),
    ),
    size,
    step: stepOf(document, decisions, node),
    lineHeight: parseFloat(style?.lineHeight ?? '') || size * 1.2,
    measure: charactersALine(node, text.length),
    weight: {
      asked: weight,
      shown: match?.weight ?? null,
      faked: match?.fakedBold ?? false,
    },
    faces,
    contrast:
      'unknown' in ground
        ? ground
        : { ratio: contrastRatio(style?.color ?? '#000', ground.colour), ground: ground.colour },
    places: styleKey ? elementsWithStyle(document, page, styleKey).length : 0,
  };
}
