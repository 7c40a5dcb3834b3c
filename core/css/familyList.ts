/** The names of a computed `font-family`, in order, without quotes. */
export const familiesIn = (stack: string): string[] =>
  [...stack.matchAll(/"((?:[^"\\]|\\.)*)"|[^,\s][^,]*/g)].map(([whole, quoted]) =>
    (quoted ?? whole).replace(/\\(.)/g, '$1').trim(),
  );
