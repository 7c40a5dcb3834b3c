/** Words that no cascade layer may be called, since CSS gives them a meaning everywhere. CSS Cascade 5 §6.4.2. */
const CSS_WIDE = /^(initial|inherit|unset|revert|revert-layer|revert-rule|default)$/i;

/** Whether a text can name a cascade layer. */
export const isLayerName = (name: string): boolean =>
  /^[a-z][a-z0-9-]{0,39}$/i.test(name) && !CSS_WIDE.test(name);

/** Characters that control a terminal or break a line, and halves of characters: no part of a name. */
const NO_LETTER = /[\p{Cc}\u2028\u2029\p{Cs}]/u;

/** Whether a text can be a name that people read: something is to be seen of it, and all of it is text. */
export const isPlainName = (name: string): boolean => /\S/.test(name) && !NO_LETTER.test(name);
