import { styleRow as say } from './words';
import type { ProjectDocument, TextElement, TextStyle } from '@lettera/core/document';
import {
  elementsByStyle,
  followersOf,
  resolveInUse,
  type ResolvedStyle,
} from '@lettera/core/style';
import { caseFont } from '../../proof/caseFonts';

/** A style as a row of the sheet. */
export interface StyleRow {
  key: string;
  style: TextStyle;
  resolved: ResolvedStyle;
  /** Key of the family that sets it, as far as one does, and that family's font here. */
  family: string | null;
  font: string;
  /** Name of the style that it follows; null for the text around it. */
  followed: string | null;
  /** How many styles follow it. */
  followers: number;
  /** Names and selectors of the text elements that use it. */
  elements: string[];
  selectors: string[];
}

/** A style as a row. @param resolvedIn the project at the widths that the sheet shows; null where it has no such style */
export function styleRow(
  document: ProjectDocument,
  resolvedIn: ProjectDocument,
  key: string,
): StyleRow | null {
  const style = document.styles[key];
  if (!style) return null;
  const resolved = resolveInUse(resolvedIn, key);
  const seat = document.voices[resolved.voice.value ?? ''];
  const elements = elementsOf(document, key);
  return {
    key,
    style,
    resolved,
    family: seat?.family ?? null,
    font: caseFont(seat?.family, seat?.generic),
    followed: document.styles[style.follows ?? '']?.name ?? null,
    followers: followersOf(document).get(key)?.length ?? 0,
    elements: elements.map(({ name }) => name),
    selectors: elements
      .flatMap(({ selectors }) => selectors)
      .map((selector) => selector.replace(/:not\(.*\)/, '')),
  };
}

const elementsOf = (document: ProjectDocument, style: string): TextElement[] =>
  (elementsByStyle(document).get(style) ?? []).flatMap((key) => document.elements[key] ?? []);

/** What a style can follow: another style, or the text around it. */
export const followable = (
  document: ProjectDocument | null | undefined,
): { value: string | null; label: string }[] => [
  { value: null, label: say.textAround },
  ...Object.entries(document?.styles ?? {}).map(([value, { name }]) => ({ value, label: name })),
];

/** Everything that a style is found by. */
export const saysOf = (document: ProjectDocument, key: string): string =>
  [
    document.styles[key]?.name ?? '',
    ...elementsOf(document, key).flatMap(({ name, selectors }) => [name, ...selectors]),
  ]
    .join(' ')
    .toLowerCase();
