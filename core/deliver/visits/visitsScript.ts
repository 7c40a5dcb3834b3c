import type { ProjectDocument } from '../../document/projectDocument';
import type { FallbackPlan } from '../../fallback/plan';
import { voiceUses } from '../../style/usage';
import { stackCounted } from './stackCounted';

/** Text in a script that stands alone: no end of a script element in it. */
const quoted = (value: unknown): string => JSON.stringify(value).replace(/</g, '\\u003c');

/** The stacks of the voices that are set in a web face, by voice: what each family is called on the page. */
const stacksOf = (document: ProjectDocument, { voices }: FallbackPlan): Record<string, string[]> =>
  Object.fromEntries(
    [...voiceUses(document).keys()].flatMap((voice) => {
      const { stack = [] } = voices[voice] ?? {};
      return stack[0]?.kind === 'web'
        ? [[stackCounted(voice, stack), stack.map(({ name }) => name)]]
        : [];
    }),
  );

/**
 * The script that counts visits: which entry of each stack set the text, when text and web faces came, and what moved.
 * It tells nothing that tells a person apart, and not which page was visited: figures are rounded, no cookie is set,
 * nothing is stored, and nothing is sent where the visitor's browser asks not to be followed (Global Privacy Control).
 *
 * @param to where it is sent
 */
export const visitsScript = (document: ProjectDocument, plan: FallbackPlan, to: string): string =>
  `// Counts how the type of this page came to be set: nothing of who visits, nor which page. Made with Lettera.
addEventListener('load', () => {
  if (navigator.globalPrivacyControl) return;
  const stacks = ${quoted(stacksOf(document, plan))};
  let shift = null;
  if (PerformanceObserver.supportedEntryTypes.includes('layout-shift')) {
    shift = 0;
    new PerformanceObserver((list) => {
      for (const one of list.getEntries()) if (!one.hadRecentInput) shift += one.value;
    }).observe({ type: 'layout-shift', buffered: true });
  }
  const context = document.createElement('canvas').getContext('2d');
  const width = (font) => {
    context.font = '100px ' + font;
    return context.measureText('mwilHamburgefons').width;
  };
  const isThere = async (name) => {
    await document.fonts.load('100px "' + name + '"').catch(() => null);
    return width('"' + name + '",serif') === width('"' + name + '",monospace');
  };
  setTimeout(async () => {
    const voices = {};
    for (const [voice, [web, ...rest]] of Object.entries(stacks)) {
      let local = rest.length;
      for (let i = 0; i < rest.length && local === rest.length; i++) {
        if (await isThere(rest[i])) local = i + 1;
      }
      const came = [...document.fonts].some(
        ({ family, status }) => status === 'loaded' && family.replace(/["']/g, '') === web,
      );
      voices[voice] = { drawn: came ? 0 : local, local };
    }
    const tenths = (time) => (time ? Math.round(time / 100) : null);
    const ends = performance.getEntriesByType('resource').filter(({ name }) => /\\.woff2\\b/.test(name));
    navigator.sendBeacon(${quoted(to)}, JSON.stringify({
      voices,
      text: tenths(performance.getEntriesByName('first-contentful-paint')[0]?.startTime),
      faces: tenths(Math.max(0, ...ends.map(({ responseEnd }) => responseEnd))),
      shift: shift === null ? null : Math.round(shift * 100),
    }));
  }, 3000);
});
`;
