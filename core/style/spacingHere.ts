import type { ProjectDocument } from '../document/projectDocument';
import { BODY_STYLE } from '../document/vocabulary';
import { sizeInViewport } from './documentAt';
import { resolveElement, resolveStyle, type ResolvedStyle } from './resolve';

/**
 * Letter spacing as a browser computes it where a style stands, in em of the size there. Set in em it is a length of
 * the text that it is set on, and inherited as that length: 0.02 em of a heading of 40 px is 0.05 em of a link of
 * 16 px in it. CSS Text 3 §8.2, "computed value: an absolute length".
 *
 * @param resolved the style where it stands, as `resolveStyle` has it
 * @param width of the viewport, CSS px: sizes run, each in its own way
 */
export function spacingHere(
  document: ProjectDocument,
  { letterSpacing, step }: Pick<ResolvedStyle, 'letterSpacing' | 'step'>,
  width: number,
): number {
  const { value, origin, trace } = letterSpacing;
  if (value === 0 || (origin !== 'parent' && origin !== 'body')) return value;
  const around = trace.at(-1)?.element;
  const there =
    around === undefined ? resolveStyle(document, BODY_STYLE) : resolveElement(document, around);
  const sizeOf = ({ value: number }: typeof step): number =>
    sizeInViewport(document, number, width);
  const here = sizeOf(step);
  return here > 0 ? (value * sizeOf(there.step)) / here : value;
}
