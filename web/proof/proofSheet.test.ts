/** @jest-environment jsdom */
import { beforeEach, describe, expect, test } from '@jest/globals';
import { applyChange } from '@lettera/core/change';
import type { ProjectDocument } from '@lettera/core/document';
import { fallbacksOf, plansOf, seatedDocument } from '../../core/testing/documents';
import { ProofSheet, type ProofState } from './proofSheet';

/** A style sheet that remembers what was written, and how often. */
class Sheet {
  text = '';
  writes = 0;
  readonly properties = new Map<string, string>();
  sets = 0;
  readonly cssRules = [
    {
      style: {
        setProperty: (name: string, value: string) => {
          this.properties.set(name, value);
          this.sets++;
        },
        removeProperty: (name: string) => this.properties.delete(name),
      },
    },
  ];
  replaceSync(text: string): void {
    this.text = text;
    this.writes++;
  }
}

let sheets: Sheet[];
let proof: ProofSheet;
beforeEach(() => {
  Object.assign(window, { CSSStyleSheet: Sheet });
  document.body.innerHTML = '<p>Short</p>';
  proof = new ProofSheet(document);
  sheets = document.adoptedStyleSheets as unknown as Sheet[];
});

const state = (of: ProjectDocument, more: Partial<ProofState> = {}): ProofState => ({
  fontUrl: (sha256) => `/fonts/${sha256.slice(0, 1)}`,
  document: of,
  fallback: fallbacksOf(of),
  twins: { georgia: [{ script: 'latin', unicodeRange: 'U+0-FF' }] },
  fonts: 'web',
  ground: 'light',
  ...more,
});

describe('the sheet of the proof', () => {
  test('has the files of the project’s store, and fallbacks over the machine’s fonts or their twins', () => {
    proof.update(state(seatedDocument()));
    const [faces] = sheets;
    expect(faces?.text).toContain('url("/fonts/a")');
    expect(faces?.text).not.toContain('fonts/literata');
    // As delivered it has no more weights and letters of them than the bundle has.
    const { delivery } = plansOf(seatedDocument());
    const file = delivery.files.find(({ source }) => source.startsWith('a'));
    if (!file) throw new Error('Something is delivered.');
    const cut = { ...file, face: { ...file.face, weightMin: 400, weightMax: 700 } };
    proof.update(state(seatedDocument(), { delivery: { ...delivery, files: [cut] } }));
    expect(faces?.text).toContain('font-weight: 400 700');
    expect(faces?.text).toContain('url("/fonts/a")');
    expect(faces?.text).not.toContain('url("/fonts/d")');
    proof.update(state(seatedDocument()));
    expect(faces?.text).toContain('url("/fonts/d")');
    const [, fallback = ''] =
      /(@font-face \{[^}]*"Georgia for Literata"[^}]*\})/.exec(faces?.text ?? '') ?? [];
    expect(fallback).toMatch(
      /local\("Georgia"\), .*url\(".*\/local-fonts\/georgia\/regular\/latin\.woff2"\)/,
    );
    expect(fallback).toContain('unicode-range: U+00-FF');
    expect(fallback).toMatch(/size-adjust: 104\.3%/);
  });

  test('sets one custom property for a token that changes, and writes no sheet', () => {
    const before = seatedDocument();
    proof.update(state(before));
    const [faces, tokens, rules] = sheets as [Sheet, Sheet, Sheet];
    const writes = () => [faces.writes, rules.writes];
    const [written, sets] = [writes(), tokens.sets];
    const after = applyChange(before, [
      { op: 'replace', path: '/styles/lead/set/lineHeight', value: 1.3 },
    ]).document;
    proof.update(state(after));
    expect(writes()).toEqual(written);
    expect(tokens.sets).toBe(sets + 1);
    expect(tokens.properties.get('--style-lead-line-height')).toBe('1.3');
    const without = applyChange(after, [
      { op: 'remove', path: '/styles/lead/set/lineHeight' },
    ]).document;
    proof.update(state(without));
    expect(tokens.properties.has('--style-lead-line-height')).toBe(false);
  });

  test('shows the fallback by leaving the web face out of the stacks, and the other ground', () => {
    const project = seatedDocument();
    proof.update(state(project));
    const tokens = sheets[1] as Sheet;
    expect(tokens.properties.get('--font-text')).toMatch(/^"Literata", "Georgia for Literata"/);
    proof.update(state(project, { fonts: 'fallback', ground: 'dark' }));
    expect(tokens.properties.get('--font-text')).toMatch(/^"Georgia for Literata"/);
    expect(tokens.properties.get('--colour-ink')).toBe(project.colours['ink']?.dark);
  });
});
