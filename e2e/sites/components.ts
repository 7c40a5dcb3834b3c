import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';

const require = createRequire(import.meta.url);

/** Frameworks with a page of the components of each, as its documentation has them, and how it is turned dark. */
export const COMPONENTS: Readonly<
  Record<string, { sheets: readonly string[]; root?: string; page: string }>
> = {
  bootstrap: { sheets: ['bootstrap/dist/css/bootstrap.css'], page: 'bootstrap' },
  bulma: { sheets: ['bulma/css/bulma.css'], page: 'bulma' },
  'foundation-sites': {
    sheets: ['foundation-sites/dist/css/foundation.css'],
    page: 'foundation-sites',
  },
  uikit: { sheets: ['uikit/dist/css/uikit.css'], page: 'uikit' },
  'spectre.css': { sheets: ['spectre.css/dist/spectre.css'], page: 'spectre.css' },
  '@picocss/pico': { sheets: ['@picocss/pico/css/pico.css'], page: 'picocss' },
  daisyui: { sheets: ['daisyui/daisyui.css', 'daisyui/themes.css'], page: 'daisyui' },
  'govuk-frontend': {
    sheets: ['govuk-frontend/dist/govuk/govuk-frontend.min.css'],
    page: 'govuk-frontend',
  },
  '@primer/css': {
    sheets: ['@primer/css/dist/primer.css'],
    root: 'data-color-mode="auto" data-light-theme="light" data-dark-theme="dark"',
    page: 'primer',
  },
};

/**
 * A page of the components of a framework.
 * @param delivered rules of Lettera’s, in the place that they are delivered for
 */
export function componentPage(
  name: string,
  { css, linked }: { css: string; linked: 'before' | 'after' },
): string {
  const { sheets = [], root = '', page = '' } = COMPONENTS[name] ?? {};
  const theirs = sheets
    .map((path) => `<style>${readFileSync(resolved(path), 'utf8')}</style>`)
    .join('');
  const ours = `<style id="delivered">${css}</style>`;
  const body = readFileSync(`e2e/sites/components/${page}.html`, 'utf8');
  return `<!doctype html><html lang="en" ${root}><head><title>${name}</title>${linked === 'before' ? ours + theirs : theirs + ours}</head><body>${body}</body></html>`;
}

/** Packages that name what may be imported are asked for their folder, by a file that each has. */
function resolved(path: string): string {
  try {
    return require.resolve(path);
  } catch {
    return `node_modules/${path}`;
  }
}
