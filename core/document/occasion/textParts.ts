import { occasion } from './occasion';
import { everything, ofFirstLetter, ofFirstLine, ofMarker, ofSelection } from './takes';

/** CSS Pseudo-Elements 4 §2.1. */
export const firstLine = occasion({
  label: 'first line',
  kind: 'part',
  css: '::first-line',
  takes: ofFirstLine,
  says: 'Of blocks of text, not of links and other text in a line.',
});

/** CSS Pseudo-Elements 4 §2.2. */
export const firstLetter = occasion({
  label: 'first letter',
  kind: 'part',
  css: '::first-letter',
  takes: ofFirstLetter,
  says: 'Of blocks of text, not of links and other text in a line. A drop cap keeps its lines at every width: browsers without initial-letter get the letter floated, at a size worked out from the face’s capitals.',
});

/** The number or dot of a list item, and the triangle of a summary. CSS Lists 3 §3. */
export const marker = occasion({
  label: 'list marker',
  kind: 'part',
  css: '::marker',
  takes: ofMarker,
  says: 'The dot or number of a list item, and the triangle of a summary.',
});

/** CSS Pseudo-Elements 4 §3. */
export const selection = occasion({
  label: 'selected text',
  kind: 'part',
  css: '::selection',
  takes: ofSelection,
});

/** CSS Pseudo-Elements 4 §4.2. */
export const placeholder = occasion({
  label: 'placeholder',
  kind: 'part',
  css: '::placeholder',
  takes: ofFirstLine,
  says: 'The hint in an empty field.',
});

/** CSS Pseudo-Elements 4 §4.1. */
export const before = occasion({
  label: 'text put before',
  kind: 'part',
  css: '::before',
  takes: everything,
  says: 'What the site puts there itself; where it puts nothing, nothing shows.',
});

export const after = occasion({
  label: 'text put after',
  kind: 'part',
  css: '::after',
  takes: everything,
  says: 'What the site puts there itself; where it puts nothing, nothing shows.',
});

/** CSS Pseudo-Elements 4 §4.3. */
export const fileButton = occasion({
  label: 'button of a file field',
  kind: 'part',
  css: '::file-selector-button',
  takes: everything,
});
