import { onceFor } from '../document/once';
import type { ProjectDocument } from '../document/projectDocument';

type Styles = ProjectDocument['styles'];

/** Styles as they are on narrow screens; the same ones where nothing differs. */
const narrowStyles = onceFor((styles: Styles): Styles => {
  const all = Object.entries(styles);
  if (all.every(([, { narrow = {} }]) => Object.keys(narrow).length === 0)) return styles;
  return Object.fromEntries(
    all.map(([key, { narrow, ...style }]) => [key, { ...style, set: { ...style.set, ...narrow } }]),
  );
});

const withNarrowStyles = onceFor((project: Pick<ProjectDocument, 'styles'>) => ({
  ...project,
  styles: narrowStyles(project.styles),
}));

/**
 * The project as it is on narrow screens: what styles set there stands in place of what they set for every
 * width, and what follows them follows it. The project itself where nothing differs.
 */
export const narrowDocument = <P extends Pick<ProjectDocument, 'styles'>>(project: P): P =>
  narrowStyles(project.styles) === project.styles ? project : (withNarrowStyles(project) as P);
