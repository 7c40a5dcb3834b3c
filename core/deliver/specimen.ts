import type { ProjectDocument, TextElement } from '../document/projectDocument';
import { stepByNumber, stepsOf } from '../scale/steps';
import { resolveElement } from '../style/resolve';
import { cssNumber } from './css';
import { sizeProperty } from './customProperties';
import { escapeHtml } from './html';

/** Sizes and weights of an element in words, which is what the specimen sets it in. */
function describe(document: ProjectDocument, key: string): { short: string; long: string } {
  const element = document.elements[key];
  const { voice, weight, slant, step, lineHeight } = resolveElement(document, key);
  const seat = document.voices[voice.value ?? ''];
  const family = document.case[seat?.family ?? '']?.name ?? seat?.generic ?? 'The browser’s font';
  const size = stepByNumber(document.scale, step.value);
  const { small, large } = document.scale;
  const face = `${family} ${weight.value}${slant.value === 'italic' ? ' italic' : ''}`;
  return {
    short: `${element?.name ?? key} in ${face}`,
    long:
      `${element?.name ?? key} in ${face}. It runs from ${cssNumber(size.small)} px at a viewport of ` +
      `${small.width} px to ${cssNumber(size.large)} px at ${large.width} px, on lines of ` +
      `${cssNumber(lineHeight.value)} times its size, and is shown here at more than one line.`,
  };
}

/** Elements whose text needs another around it, or cannot hold a paragraph. */
const EXAMPLES: Record<string, (short: string, long: string) => string> = {
  body: (short, long) => `<p>${short}</p><p>${long}</p>`,
  nav: (short) => `<nav>${short}</nav>`,
  table: (short, long) =>
    `<table><tbody><tr><td>${short}</td><td>${long}</td></tr></tbody></table>`,
  th: (short, long) => `<table><thead><tr><th>${short}</th><th>${long}</th></tr></thead></table>`,
  figcaption: (short, long) =>
    `<figure><figcaption>${short}</figcaption><figcaption>${long}</figcaption></figure>`,
  input: (short) => `<input aria-label="${short}" value="${short}" size="40">`,
  select: (short) => `<select aria-label="${short}"><option>${short}</option></select>`,
  textarea: (short, long) =>
    `<textarea aria-label="${short}" rows="3" cols="40">${long}</textarea>`,
  button: (short) => `<button type="button">${short}</button>`,
  label: (short) => `<label>${short}</label>`,
  code: (short) => `<p><code>${short}</code></p>`,
  pre: (short, long) => `<pre><code>${short}\n${long}</code></pre>`,
  a: (short, long) => `<p><a href="#top">${short}</a></p><p><a href="#top">${long}</a></p>`,
};
const INLINE = ['em', 'i', 'cite', 'strong', 'b', 'small', 'kbd', 'samp', 'mark', 'span'];

function example({ selectors }: TextElement, short: string, long: string): string {
  const [, dot, name = 'p'] = /^(\.?)([a-z][a-z0-9_-]*)/i.exec(selectors[0] ?? '') ?? [];
  if (dot) return `<p class="${name}">${short}</p><p class="${name}">${long}</p>`;
  const own = EXAMPLES[name];
  if (own) return own(short, long);
  const both = `<${name}>${short}</${name}>`;
  return INLINE.includes(name)
    ? `<p>${both}</p><p><${name}>${long}</${name}></p>`
    : `${both}<${name}>${long}</${name}>`;
}

/** The specimen's own dress: what separates the examples, and nothing that touches their type. */
const DRESS = `
    body { margin: 0 auto; padding: 2rem 1.5rem 6rem; max-width: 60rem; }
    section { border-top: 1px solid #c6ccc9; padding: 1rem 0 1.5rem; }
    section > * { margin: 0 0 0.6rem; }
    .about { font: 400 0.8125rem/1.4 system-ui, sans-serif; letter-spacing: 0; text-transform: none; color: #4c5854; }
    .step { white-space: nowrap; overflow: hidden; text-overflow: ellipsis; margin: 0 0 0.5rem; }`;

/** `specimen.html`: every element and every step, opening from disk beside `lettera.css`. */
export function specimen(document: ProjectDocument): string {
  const elements = Object.entries(document.elements).map(([key, element]) => {
    const { short, long } = describe(document, key);
    return `  <section>
    <p class="about">${escapeHtml(`${element.name} · ${element.selectors.join(', ')}`)}</p>
    ${example(element, escapeHtml(short), escapeHtml(long))}
  </section>`;
  });
  const steps = stepsOf(document.scale)
    .toReversed()
    .map(
      ({ name, number, small, large }) => `    <p class="about">${escapeHtml(
        `${sizeProperty(document.scale, number)} · ${cssNumber(small)} to ${cssNumber(large)} px`,
      )}</p>
    <p class="step" data-step="${name}" style="font-size: var(${sizeProperty(document.scale, number)})">${escapeHtml(document.words)}</p>`,
    );
  return `<!doctype html>
<html lang="${escapeHtml(document.languages[0] ?? 'en')}">
<head>
  <meta charset="utf-8">
  <meta name="viewport" content="width=device-width, initial-scale=1">
  <title>${escapeHtml(document.name)}: specimen</title>
  <link rel="stylesheet" href="lettera.css">
  <style>${DRESS}
  </style>
</head>
<body id="top">
${elements.join('\n')}
  <section>
    <p class="about">Steps of the scale</p>
${steps.join('\n')}
  </section>
</body>
</html>
`;
}
