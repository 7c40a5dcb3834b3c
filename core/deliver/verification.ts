import { siteName } from '../document/familyName';
import type { ProjectDocument } from '../document/projectDocument';
import type { PropertyName } from '../document/property';
import { stepSizeAt } from '../scale/sizeAt';
import { documentAtWidth } from '../style/documentAt';
import { matchFace } from '../style/faceMatch';
import { resolveElement } from '../style/resolve';

/** What sets a text, as the project has it or as a browser computes it; lengths in CSS px. */
export interface SetType {
  family: string;
  size: number;
  /** Null where the face's own line height stands. */
  lineHeight: number | null;
  weight: number;
  slant: string;
}

/** One thing that a browser makes otherwise than the project has it. */
export interface Difference {
  element: string;
  /** Viewport, CSS px. */
  width: number;
  what: keyof SetType;
  project: string;
  browser: string;
}

/** Browsers cut lengths to 1/64 px, and line heights are multiples of sizes. */
const LEAST_SEEN = 0.05;

/** The widths at which a delivery is tried: both ends of the scale, and between them. */
export function widthsToVerify({ scale: { small, large } }: ProjectDocument): number[] {
  const [from, to] = [small.width, large.width].sort((a, b) => a - b);
  return [...new Set([from ?? 0, Math.round(((from ?? 0) + (to ?? 0)) / 2), to ?? 0])];
}

/** How the project sets a text element in a viewport; null where its voice holds no family. */
export function typeOf(document: ProjectDocument, element: string, width: number): SetType | null {
  const at = documentAtWidth(document, width);
  const { voice, step, lineHeight, weight, slant } = resolveElement(at, element);
  const family = at.case[at.voices[voice.value ?? '']?.family ?? ''];
  if (!family) return null;
  const size = stepSizeAt(at.scale, step.value, width);
  return {
    family: siteName(family),
    size,
    lineHeight: typeof lineHeight.value === 'number' ? lineHeight.value * size : null,
    weight: weight.value,
    slant: slant.value,
  };
}

/** The property that each part of a text's type comes from. */
const PROPERTY_OF = {
  family: 'voice',
  size: 'step',
  lineHeight: 'lineHeight',
  weight: 'weight',
  slant: 'slant',
} as const satisfies Record<keyof SetType, PropertyName>;

/**
 * What an element's own style says of its type, wherever it stands: the rest comes from the text around it,
 * which is another on each page.
 */
export function saidOf(document: ProjectDocument, element: string): ReadonlySet<keyof SetType> {
  const resolved = resolveElement(document, element);
  const parts = Object.keys(PROPERTY_OF) as (keyof SetType)[];
  return new Set(
    parts.filter((part) => ['set', 'style'].includes(resolved[PROPERTY_OF[part]].origin)),
  );
}

const px = (value: number): string => `${Number(value.toFixed(2))} px`;

/** What a browser makes otherwise of one element at one width. */
export function differencesOf(
  element: string,
  width: number,
  project: SetType,
  browser: SetType,
): Difference[] {
  const differ = (what: keyof SetType, one: string, other: string): Difference[] => [
    { element, width, what, project: one, browser: other },
  ];
  // Line heights are multiples: of a size that is another here, it is that multiple that is meant.
  const larger = browser.size / project.size;
  const expected = {
    size: project.size,
    lineHeight: project.lineHeight === null ? null : project.lineHeight * larger,
  };
  const lengths = (['size', 'lineHeight'] as const).flatMap((what) => {
    const [one, other] = [expected[what], browser[what]];
    if (one === null || (other !== null && Math.abs(one - other) <= LEAST_SEEN)) return [];
    return differ(what, px(one), other === null ? 'the face’s own' : px(other));
  });
  const words = (['family', 'weight', 'slant'] as const).flatMap((what) =>
    String(project[what]) === String(browser[what])
      ? []
      : differ(what, String(project[what]), String(browser[what])),
  );
  return [...words, ...lengths];
}

/** A web face that a browser has been given. */
export interface GivenFace {
  family: string;
  slant: string;
  weightMin: number;
  weightMax: number;
  loaded: boolean;
}

/** Faces that text elements ask for and that did not come, in words, each once. */
export function facesMissing(document: ProjectDocument, given: readonly GivenFace[]): string[] {
  const missing = new Set<string>();
  // Whether a visitor has them installed is not known here.
  const installed = new Set(
    Object.values(document.case).flatMap((family) => (family.localOnly ? [siteName(family)] : [])),
  );
  for (const element of Object.keys(document.elements)) {
    const type = typeOf(document, element, document.scale.large.width);
    if (!type || installed.has(type.family)) continue;
    const faces = given
      .filter(({ family }) => family === type.family)
      .map((face) => ({ ...face, style: face.slant === 'italic' ? 'italic' : 'normal' }) as const);
    const slant = type.slant === 'italic' ? 'italic' : 'normal';
    const match = matchFace(faces, { weight: type.weight, slant });
    if (!match) missing.add(`${type.family}: no file of it was found`);
    else if (!match.face.loaded) {
      missing.add(
        `${type.family} ${match.weight}${slant === 'italic' ? ' italic' : ''} did not load`,
      );
    }
  }
  return [...missing];
}
