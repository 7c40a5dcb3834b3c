import type { PageFile } from '../store/ownPages';

/** What says that files are of a page: a page itself, its style sheet, or an archive. */
const OF_PAGES = /\.(x?html?|css|zip)$/i;

/** What was dropped, with the path that each file has in a folder that was dropped whole. */
export interface Dropped {
  files: PageFile[];
  /** Whether these are pages with what belongs to them; else they are taken for fonts. */
  ofPages: boolean;
}

const fileOf = (entry: FileSystemFileEntry): Promise<File> =>
  new Promise((resolve, reject) => entry.file(resolve, reject));

/** A folder's entries come in portions, the last of which is empty. */
async function entriesOf(folder: FileSystemDirectoryEntry): Promise<FileSystemEntry[]> {
  const reader = folder.createReader();
  const all: FileSystemEntry[] = [];
  for (;;) {
    const some = await new Promise<FileSystemEntry[]>((resolve, reject) =>
      reader.readEntries(resolve, reject),
    );
    if (some.length === 0) return all;
    all.push(...some);
  }
}

async function filesIn(entry: FileSystemEntry): Promise<PageFile[]> {
  if (entry.isFile) {
    const content = await fileOf(entry as FileSystemFileEntry);
    return [{ path: entry.fullPath.replace(/^\//, ''), content }];
  }
  const inner = await entriesOf(entry as FileSystemDirectoryEntry);
  return (await Promise.all(inner.map(filesIn))).flat();
}

/** Reads what was dropped, folders too. To be called within the event: afterwards nothing is there any more. */
export async function droppedFiles({ items, files }: DataTransfer): Promise<Dropped> {
  const entries = [...items].flatMap((item) => item.webkitGetAsEntry() ?? []);
  const plain = [...files].map((content) => ({ path: content.name, content }));
  const found = entries.length > 0 ? (await Promise.all(entries.map(filesIn))).flat() : plain;
  return { files: found, ofPages: found.some(({ path }) => OF_PAGES.test(path)) };
}
