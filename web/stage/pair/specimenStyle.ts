import type { ProjectDocument } from '@lettera/core/document';
import { resolveElement, sizeInViewport, spacingHere } from '@lettera/core/style';
import type { CSSProperties } from 'vue';

/** How an element of the site is set, at a viewport width in CSS px, but for its family. */
export function specimenStyle(
  document: ProjectDocument,
  element: string,
  width: number,
): CSSProperties {
  if (!document.elements[element]) return {};
  const style = resolveElement(document, element);
  return {
    fontSize: `${sizeInViewport(document, style.step.value, width).toFixed(2)}px`,
    fontWeight: style.weight.value,
    fontStyle: style.slant.value,
    lineHeight: style.lineHeight.value,
    letterSpacing: `${spacingHere(document, style, width)}em`,
    textTransform: style.case.value ?? 'none',
  };
}
