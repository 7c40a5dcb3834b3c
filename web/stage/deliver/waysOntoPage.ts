import type { SheetPlace } from '@lettera/core/document';

/** Texts that a plugin writes the sources of. */
const TEXTS =
  'h[1-6]|p|a|li|button|label|blockquote|figcaption|td|th|dt|dd|summary|legend|small|strong|em|span|time|cite|code';

/** The lines of a development template. @param at the address that the live sheet is beside */
export const templateLines = (at: string, linked: SheetPlace): string =>
  [
    ...(linked === 'before' ? [`<link rel="stylesheet" href="${at}lettera.css" crossorigin>`] : []),
    `<script src="${at}lettera.js" defer></script>`,
  ].join('\n');

/** A bookmark that puts the script onto the page that is looked at, and says where that cannot be. */
export const bookmarkFor = (at: string): string => {
  const { origin } = new URL(at);
  const refused = `Lettera: this page does not let ${origin} in. Its policy (script-src) may forbid it, or the browser does: for a site that is not on this machine it asks first whether the site may reach it, and only over https. Ways on: allow that, or use the lines in the template of a site on this machine.`;
  const code = `(()=>{const s=document.createElement('script');s.src='${at}lettera.js';s.onerror=()=>alert(${JSON.stringify(refused)});document.head.append(s)})()`;
  return `javascript:${encodeURIComponent(code)}`;
};

/** A plugin for a bundler's dev server: the same lines, and where each text stands in the site's sources. */
export const pluginCode = (at: string, linked: SheetPlace): string => `const at = '${at}';
export const lettera = {
  name: 'lettera-live',
  apply: 'serve',
  enforce: 'pre',
  transformIndexHtml: () => [
${
  linked === 'before'
    ? `    { tag: 'link', attrs: { rel: 'stylesheet', href: at + 'lettera.css', crossorigin: '' }, injectTo: 'head-prepend' },
`
    : ''
}    { tag: 'script', attrs: { src: at + 'lettera.js', defer: true }, injectTo: 'head' },
  ],
  // Writes into each text where it stands: src/App.vue:12.
  transform(code, id) {
    if (!/\\.(vue|jsx|tsx)$/.test(id)) return null;
    const file = id.slice(process.cwd().length + 1);
    const line = (place) => code.slice(0, place).split('\\n').length;
    return {
      code: code.replace(
        /(?<=[\\s(>{}?:&|])<(${TEXTS})(?=[\\s>])/g,
        (tag, name, place) => \`\${tag} data-lettera-at="\${file}:\${line(place)}"\`,
      ),
      map: null,
    };
  },
};
`;
