import type { ProjectDocument } from '../document/projectDocument';
import { placesOf, valuesOf } from '../document/styleValues';
import { descriptorOf, PROPERTY_NAMES } from '../document/property';

/** Properties that take a colour of the project. */
const COLOURS = PROPERTY_NAMES.filter((name) => {
  const { values } = descriptorOf(name);
  return values.kind === 'key' && values.of === 'colours';
});

/** Keys of the styles that set a colour: as their text, their ground, or a line. */
export const usersOfColour = ({ styles }: ProjectDocument, key: string): string[] =>
  Object.entries(styles)
    .filter(([, style]) =>
      placesOf(style).some((where) => COLOURS.some((name) => valuesOf(style, where)[name] === key)),
    )
    .map(([style]) => style);
