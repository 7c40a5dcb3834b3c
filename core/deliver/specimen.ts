import type { ProjectDocument } from '../document/projectDocument';
import { stepByNumber, stepsOf } from '../scale/steps';
import { sizeInWords } from '../scale/words';
import { resolveElement } from '../style/resolve';
import { cssNumber } from './css';
import { sizeProperty } from './customProperties';
import { example } from './example';
import { escapeHtml, rootAttribute } from './html';

/** Sizes and weights of an element in words, which is what the specimen sets it in. */
function describe(document: ProjectDocument, key: string): { short: string; long: string } {
  const element = document.elements[key];
  const { voice, weight, slant, step, lineHeight } = resolveElement(document, key);
  const seat = document.voices[voice.value ?? ''];
  const family = document.case[seat?.family ?? '']?.name ?? seat?.generic ?? 'The browser’s font';
  const size = stepByNumber(document.scale, step.value);
  const face = `${family} ${weight.value}${slant.value === 'italic' ? ' italic' : ''}`;
  return {
    short: `${element?.name ?? key} in ${face}`,
    long:
      `${element?.name ?? key} in ${face}. It ${sizeInWords(document.scale, size)}, on lines of ` +
      `${cssNumber(lineHeight.value)} times its size, and is shown here at more than one line.`,
  };
}

/**
 * The specimen's own dress: what separates the examples, keeps them within the narrowest window and an A4
 * page, and touches nothing of their type.
 */
const DRESS = `
    body { margin: 0 auto; padding: 2rem 1.5rem 6rem; max-width: 60rem; overflow-wrap: anywhere; }
    section { border-top: 1px solid #c6ccc9; padding: 1rem 0 1.5rem; }
    section > * { margin: 0 0 0.6rem; }
    pre { white-space: pre-wrap; }
    input, select, textarea, button { box-sizing: border-box; max-width: 100%; }
    fieldset { min-width: 0; }
    .about { font: 400 0.8125rem/1.4 system-ui, sans-serif; letter-spacing: 0; text-transform: none; color: #4c5854; }
    .step { margin: 0 0 0.5rem; }
    @page { size: A4; margin: 16mm; }
    @media print {
      body { padding: 0; max-width: none; }
      section { break-inside: avoid; }
    }`;

/** `specimen.html`: every element and every step, opening from disk beside `lettera.css`. */
export function specimen(document: ProjectDocument): string {
  const elements = Object.entries(document.elements).map(([key, element]) => {
    const { short, long } = describe(document, key);
    return `  <section>
    <p class="about">${escapeHtml(`${element.name} · ${element.selectors.join(', ')}`)}</p>
    ${example(element.selectors, escapeHtml(short), escapeHtml(long))}
  </section>`;
  });
  const steps = stepsOf(document.scale)
    .toReversed()
    .map(
      (step) => `    <p class="about">${escapeHtml(
        `${sizeProperty(document.scale, step.number)} ${sizeInWords(document.scale, step)}`,
      )}</p>
    <p class="step" data-step="${step.name}" style="font-size: var(${sizeProperty(document.scale, step.number)})">${escapeHtml(document.words)}</p>`,
    );
  return `<!doctype html>
<html lang="${escapeHtml(document.languages[0] ?? 'en')}"${rootAttribute(document)}>
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
