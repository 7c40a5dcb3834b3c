import { newDocument, type ProjectDocument } from '@lettera/core/document';
import { readFamily, type SampleFamily, type Wanted } from './families';

export const SAMPLE_SLUG = 'tarnholm-light';
export const SAMPLE_NAME = 'Tarnholm Light Trust';

/**
 * Headings in a grotesque with some weather in it, text in a bookish serif with a true italic for the
 * names of ships and Greek for the tides.
 */
const WANTED: Wanted[] = [
  {
    key: 'bricolage-grotesque',
    class: 'sans-serif',
    scripts: ['latin', 'latin-ext'],
    styles: ['normal'],
  },
  {
    key: 'literata',
    class: 'serif',
    scripts: ['latin', 'latin-ext', 'greek'],
    styles: ['normal', 'italic'],
  },
];

/** The families of the sample project, with their files. */
export const sampleFamilies = (): Promise<SampleFamily[]> => Promise.all(WANTED.map(readFamily));

/** The Trust's decisions, before its families are in the case. */
export function sampleDocument(): ProjectDocument {
  const document = newDocument(SAMPLE_NAME);
  const { styles, scale } = document;
  document.languages = ['en', 'is', 'nb'];
  document.words = 'Sæfari rounds the Skerry at dusk';
  scale.small = { width: 360, base: 17, ratio: 1.2 };
  scale.large = { width: 1280, base: 19, ratio: 1.28 };
  Object.assign(styles['heading']?.set ?? {}, { weight: 680, letterSpacing: -0.012 });
  Object.assign(styles['heading-1']?.set ?? {}, { letterSpacing: -0.022, lineHeight: 1.06 });
  Object.assign(styles['lead']?.set ?? {}, { lineHeight: 1.42 });
  document.colours = {
    ink: { name: 'Ink', light: '#17222b', dark: '#e6ecef' },
    quiet: { name: 'Slate', light: '#50616d', dark: '#a3b3bd' },
    accent: { name: 'Lantern red', light: '#9c2f1f', dark: '#f2a08c' },
    'on-accent': { name: 'On lantern red', light: '#fffaf7', dark: '#10181d' },
    ground: { name: 'Background', light: '#fdfdfb', dark: '#10181d' },
    panel: { name: 'Panel', light: '#f1f3f1', dark: '#19242b' },
  };
  return document;
}
