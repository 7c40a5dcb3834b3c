import { onceFor } from '../document/once';
import type { ProjectDocument, TextStyle } from '../document/projectDocument';

type Styles = ProjectDocument['styles'];

/** A style as it is on narrow screens; the same one where nothing differs. */
const narrowStyle = onceFor((given: TextStyle): TextStyle => {
  const { narrow = {}, ...style } = given;
  return Object.keys(narrow).length === 0 ? given : { ...style, set: { ...style.set, ...narrow } };
});

/** Styles as they are on narrow screens; the same ones where nothing differs. */
const narrowStyles = onceFor((styles: Styles): Styles => {
  const all = Object.entries(styles);
  return all.every(([, style]) => narrowStyle(style) === style)
    ? styles
    : Object.fromEntries(all.map(([key, style]) => [key, narrowStyle(style)]));
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
