import { descriptorOf, type PropertyName } from '../property';

/** Which properties of text styles a browser takes in some part of a text. */
type Takes = (property: PropertyName) => boolean;

const among =
  (...names: PropertyName[]): Takes =>
  (name) =>
    names.includes(name);

const eitherOf =
  (...all: Takes[]): Takes =>
  (name) =>
    all.some((takes) => takes(name));

/** Properties of the font: what its shorthand sets or sets back, and its own. CSS Fonts 4. */
const ofFont: Takes = (name) => {
  const { css } = descriptorOf(name);
  return css.startsWith('font-');
};

/** Colours of text, of what is behind it, and of lines. */
export const colours: Takes = among('colour', 'ground', 'underlineColour', 'lineColour');

/** All but what a large first letter alone has. */
export const everything: Takes = (name) => descriptorOf(name).only === undefined;

const ofUnderline: Takes = (name) =>
  name === 'decoration' || descriptorOf(name).part === 'underline';

/** CSS Pseudo-Elements 4 §2.1.3. */
export const ofFirstLine = eitherOf(
  ofFont,
  ofUnderline,
  among('colour', 'ground', 'letterSpacing', 'case', 'lineHeight'),
);

/** CSS Pseudo-Elements 4 §2.2.1. */
export const ofFirstLetter = eitherOf(
  ofFirstLine,
  among('dropLines', 'spaceBefore', 'spaceAfter', 'inset'),
  (name) => /^line(Thickness|Kind|Colour)$/.test(name),
);

/** CSS Lists 3 §3.1.1. */
export const ofMarker = eitherOf(ofFont, among('colour'));

/** CSS Pseudo-Elements 4 §3.3. */
export const ofSelection = eitherOf(among('colour', 'ground', 'decoration'), ofUnderline);

/** What a link that was visited may tell a page. Selectors 4 §8.2.2. */
export const ofVisited = colours;

/** What is left to a page where its visitor's own colours are forced. CSS Color Adjustment 1 §3.1. */
export const besidesColours: Takes = (name) => everything(name) && !colours(name);
