/** Names of the custom properties that a style sheet defines. */
export const customProperties = (css: string): string[] =>
  [...css.matchAll(/^\s*(--[a-z0-9-]+):/gm)].map(([, name]) => name ?? '');

/** Names of the custom properties that it refers to. */
export const referencedProperties = (css: string): string[] =>
  [...css.matchAll(/var\((--[a-z0-9-]+)\)/g)].map(([, name]) => name ?? '');
