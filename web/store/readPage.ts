/** A page as it was read, to be looked into and not shown; null when it does not come. */
export async function readPage(address: string): Promise<Document | null> {
  const response = await fetch(address).catch(() => null);
  if (!response?.ok) return null;
  // Only what is where counts here; a style attribute would be read under the workbench's own policy.
  const html = (await response.text()).replace(/\sstyle="[^"]*"/g, '');
  return new DOMParser().parseFromString(html, 'text/html');
}
