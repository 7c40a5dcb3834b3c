import { claim as say } from './words';
import { freeKey, type Patch, type ProjectDocument } from '@lettera/core/document';
import { slug } from '@lettera/core/deliver';
import { resolveInUse, sizeInViewport } from '@lettera/core/style';

/** Size and weight of a text as it stands, CSS px. */
export interface Look {
  size: number;
  weight: number;
}

/** How much a difference of 300 in weight counts against one of a factor of 1.2 in size. */
const WEIGHT_SPAN = 300;
const SIZE_SPAN = Math.log(1.2);

/** The style that a text looks most like: nearest in size and weight at a width. */
export function nearestStyle(
  document: ProjectDocument,
  { size, weight }: Look,
  width: number,
): string {
  const apart = (key: string): number => {
    const resolved = resolveInUse(document, key);
    const own = sizeInViewport(document, resolved.step.value, width);
    return (
      Math.abs(Math.log(own / size)) / SIZE_SPAN +
      Math.abs(resolved.weight.value - weight) / WEIGHT_SPAN
    );
  };
  const [nearest = ''] = Object.keys(document.styles).sort((a, b) => apart(a) - apart(b));
  return nearest;
}

const plainSlug = (name: string): string => slug(name) || 'text';

/** Makes a text element of what a selector meets, in a style that is there. */
export function claimPatch(
  document: ProjectDocument,
  { name, selector, style }: { name: string; selector: string; style: string },
): Patch {
  const key = freeKey(Object.keys(document.elements), plainSlug(name), 'text');
  return [
    {
      op: 'add',
      path: `/elements/${key}`,
      value: { name: name.slice(0, 60), selectors: [selector], style, parent: null },
    },
  ];
}

/**
 * Makes text elements of parts of pages, each in a style of its own that leaves all open: nothing changes until
 * something is set in it.
 */
export function partsPatch(
  document: ProjectDocument,
  parts: readonly { name: string; selectors: readonly string[] }[],
): Patch {
  const elements = Object.keys(document.elements);
  const styles = Object.keys(document.styles);
  return parts.flatMap(({ name, selectors }): Patch => {
    const key = freeKey(elements, plainSlug(name), 'text');
    const style = freeKey(styles, plainSlug(name), 'style');
    elements.push(key);
    styles.push(style);
    const isTaken = Object.values(document.elements).some((element) => element.name === name);
    const called = isTaken ? `${name} ${selectors[0] ?? ''}` : name;
    return [
      { op: 'add', path: `/styles/${style}`, value: { name: called, follows: null, set: {} } },
      {
        op: 'add',
        path: `/elements/${key}`,
        value: { name: called, selectors: [...selectors], style, parent: null },
      },
    ];
  });
}

/** A style for one place alone, which follows the one that the place has. */
export function onlyHerePatch(
  document: ProjectDocument,
  { style, selector }: { style: string; selector: string },
): { patch: Patch; style: string } {
  const name = say.onlyHere(document.styles[style]?.name ?? style).slice(0, 60);
  const key = freeKey(Object.keys(document.styles), plainSlug(name), 'style');
  return {
    style: key,
    patch: [
      { op: 'add', path: `/styles/${key}`, value: { name, follows: style, set: {} } },
      ...claimPatch(document, { name, selector, style: key }),
    ],
  };
}
