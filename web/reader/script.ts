/**
 * The reader: run on a page in the designer's own browser, it gives one file of what sets the page's text. It
 * sends nothing and asks for nothing. Run again at another width, it adds to what it had. It stands alone, so
 * that all of it can be read where it is offered. The file is described in docs/reading.md.
 */
import { pageReading } from './pageReading';

try {
  const file = new Blob([JSON.stringify(pageReading())], { type: 'application/json' });
  const link = document.createElement('a');
  link.href = URL.createObjectURL(file);
  link.download = `${location.hostname || 'page'}.reading.json`;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
} catch (error) {
  alert(`Lettera’s reader could not read this page. ${(error as Error).message}`);
}
