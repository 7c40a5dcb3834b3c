/** A tag as pages are written here: attributes in double quotes, `<` in text escaped. HTML §13.3. */
const TAG = /<[a-z][^\s/>]*(?:\s+[^\s=>]+(?:="[^"]*")?)*\s*\/?>/gi;
const ATTRIBUTE = /\s+([^\s=>]+)(?:="[^"]*")?/g;

/** Markup without its style attributes; what its text says of them stays. */
export const withoutStyles = (html: string): string =>
  html.replace(TAG, (tag) =>
    tag.replace(ATTRIBUTE, (attribute, name: string) =>
      name.toLowerCase() === 'style' ? '' : attribute,
    ),
  );

/** A page as it was read, to be looked into and not shown; null when it does not come. */
export async function readPage(address: string): Promise<Document | null> {
  const response = await fetch(address).catch(() => null);
  if (!response?.ok) return null;
  // Only what is where counts here; a style attribute would be read under the workbench's own policy.
  return new DOMParser().parseFromString(withoutStyles(await response.text()), 'text/html');
}
