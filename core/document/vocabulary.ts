/** Words that several parts of a document choose from. */

export const FACE_CLASSES = ['serif', 'sans-serif', 'monospace', 'display', 'handwriting'] as const;
export type FaceClass = (typeof FACE_CLASSES)[number];

export const GENERICS = ['serif', 'sans-serif', 'monospace', 'cursive'] as const;
export type Generic = (typeof GENERICS)[number];

export const SLANTS = ['normal', 'italic'] as const;
export type Slant = (typeof SLANTS)[number];

export const CASES = ['none', 'uppercase', 'lowercase', 'capitalize'] as const;
export type LetterCase = (typeof CASES)[number];

export const FONT_DISPLAYS = ['swap', 'fallback', 'optional'] as const;
export type FontDisplay = (typeof FONT_DISPLAYS)[number];

/** What the delivered style sheet holds: everything, faces and tokens alone, or the element rules alone. */
export const SHEET_FORMS = ['whole', 'tokens', 'rules'] as const;
export type SheetForm = (typeof SHEET_FORMS)[number];

/** What the font files hold: what the site needs, or all that was taken in. */
export const LETTERS_KEPT = ['needed', 'whole'] as const;
export type LettersKept = (typeof LETTERS_KEPT)[number];

/** The layout features that the font files keep: all, or those that a browser turns on and styles ask for. */
export const FEATURES_KEPT = ['all', 'used'] as const;
export type FeaturesKept = (typeof FEATURES_KEPT)[number];

/**
 * How much weight the element rules carry: none, so that any rule of the site's own wins; that of their
 * selectors; or that and of four classes more.
 */
export const RULE_WEIGHTS = ['none', 'own', 'over'] as const;
export type RuleWeight = (typeof RULE_WEIGHTS)[number];

/** Where the style sheet is linked, beside those that a site has of its own. */
export const SHEET_PLACES = ['before', 'after'] as const;
export type SheetPlace = (typeof SHEET_PLACES)[number];

/** Colours that every project has: the text's and its ground. */
export const INK = 'ink';
export const GROUND = 'ground';
/** Style of the body, which everything follows in the end. */
export const BODY_STYLE = 'body';
