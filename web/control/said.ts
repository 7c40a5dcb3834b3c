/** What stands in the midst of words: a name, a figure, other words. */
export type Said = string | number;
