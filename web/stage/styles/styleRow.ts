import { styleRow as say } from './words';
import type { ProjectDocument, TextStyle } from '@lettera/core/document';
import { resolveInUse, type ResolvedStyle } from '@lettera/core/style';
import { caseFont } from '../../proof/caseFonts';

/** A style as a row of the sheet. */
export interface StyleRow {
  key: string;
  style: TextStyle;
  resolved: ResolvedStyle;
  /** Key of the family that sets it, as far as one does, and that family's font here. */
  family: string | null;
  font: string;
  /** How many styles follow it. */
  followers: number;
  /** Names and selectors of the text elements that use it. */
  elements: string[];
  selectors: string[];
}

/** @param resolvedIn the project at the widths that the sheet shows */
export function styleRows(document: ProjectDocument, resolvedIn: ProjectDocument): StyleRow[] {
  return Object.entries(document.styles).map(([key, style]) => {
    const resolved = resolveInUse(resolvedIn, key);
    const seat = document.voices[resolved.voice.value ?? ''];
    const elements = Object.values(document.elements).filter((element) => element.style === key);
    return {
      key,
      style,
      resolved,
      family: seat?.family ?? null,
      font: caseFont(seat?.family, seat?.generic),
      followers: Object.values(document.styles).filter(({ follows }) => follows === key).length,
      elements: elements.map(({ name }) => name),
      selectors: elements
        .flatMap(({ selectors }) => selectors)
        .map((selector) => selector.replace(/:not\(.*\)/, '')),
    };
  });
}

/** What a style can follow: another style, or the text around it. */
export const followable = (
  document: ProjectDocument | null | undefined,
): { value: string | null; label: string }[] => [
  { value: null, label: say.textAround },
  ...Object.entries(document?.styles ?? {}).map(([value, { name }]) => ({ value, label: name })),
];

/** Everything that a style is found by. */
export const saysOf = ({ style, elements, selectors }: StyleRow): string =>
  [style.name, ...elements, ...selectors].join(' ').toLowerCase();
