import { propertyText as say } from './words';
import {
  descriptorOf,
  PROPERTIES,
  type ProjectDocument,
  type PropertyName,
} from '@lettera/core/document';
import { stepByNumber } from '@lettera/core/scale';
import { shownValue, type ResolvedProperty } from '@lettera/core/style';
import { plainNumber } from '../../control/figures';

/** A size in px, to a tenth. */
const inPx = (size: number): string => plainNumber(Number(size.toFixed(1)));

/**
 * A property's value in a designer's words.
 * @param figure how a size in CSS px is written
 */
export function valueText(
  document: ProjectDocument,
  property: PropertyName,
  value: string | number | null,
  figure: (px: number) => string = inPx,
): string {
  if (value === null || descriptorOf(property).values.kind !== 'step') {
    return shownValue(document, property, value);
  }
  const { name, small, large } = stepByNumber(document.scale, Number(value));
  return `${name} · ${figure(small)} → ${figure(large)}`;
}

const styleName = (document: ProjectDocument, key: string | null): string =>
  document.styles[key ?? '']?.name ?? key ?? '';

/** The whole way to a value, each place looked at in turn. */
export function traceText(
  document: ProjectDocument,
  property: PropertyName,
  { origin, trace }: ResolvedProperty,
): string {
  if (origin === 'set') return say.isSetHere(PROPERTIES[property].label);
  const steps = trace.map((step, i) => {
    const last = i === trace.length - 1;
    const found = last ? say.whereSet : say.whichLeavesOpen;
    switch (step.origin) {
      case 'set':
        return `${styleName(document, step.style)}${found}`;
      case 'style':
        return say.styleFollows(styleName(document, step.style), found);
      case 'parent':
        return say.textAround(document.elements[step.element ?? '']?.name ?? '', found);
      case 'body':
        return say.body(found);
      default:
        return say.browsersOwnDefault;
    }
  });
  return `${PROPERTIES[property].label}: ${steps.join('; ')}.`;
}
