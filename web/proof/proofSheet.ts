import {
  cssString,
  customProperties,
  shownFonts,
  type DeliveryPlan,
  changedSizes,
  GRID_PROPERTY,
  layeredRules,
  languageTokens,
  narrowTokens,
  otherSizes,
  printedSizes,
  servedFaceRules,
  type FontsShown,
} from '@lettera/core/deliver';
import type { ProjectDocument } from '@lettera/core/document';
import type { FallbackPlan } from '@lettera/core/fallback';
import type { TwinScripts } from '@lettera/core/wire';
import { fallbackRules } from './fallbackRules';
import { NEAR_FIRST_RULES, NearFirst } from './nearFirst';

export interface ProofState {
  /** Address of a font file, by its hash. */
  fontUrl: (sha256: string) => string;
  document: ProjectDocument;
  fallback: FallbackPlan;
  twins: TwinScripts;
  fonts: FontsShown;
  /** What is delivered, where the page is to have no more of its files than that; all as taken in when left out. */
  delivery?: DeliveryPlan | undefined;
  ground: 'light' | 'dark';
  /** The size of text that the visitor has set, as a share of the usual; 1 when left out. */
  textSize?: number;
  /** The occasion that text is shown on, where the page is to show one. */
  occasion?: string | null;
  /** Whether the page is shown as its own style sheets have it, without the project's type. */
  bare?: boolean;
}

/** What 1rem is where nothing sets it, CSS px. */
const USUAL_ROOT = 16;

/** The outline of the selected style and of what is pointed at; no part of what is delivered. */
const OUTLINES = `
[data-lettera-style] { outline: 1.5px solid #0e6656; outline-offset: 3px; }
[data-lettera-pointed] { outline: 1px dashed #0e6656; outline-offset: 3px; }
[data-lettera-out] { outline: 1.5px solid #8a5a00; outline-offset: 2px; }
[data-lettera-moved] { outline: 1.5px dashed #8a5a00; outline-offset: 2px; }
[data-lettera-moved]::after {
  content: attr(data-lettera-moved);
  position: absolute;
  z-index: 9;
  padding: 0 4px;
  font: 600 11px/1.4 sans-serif;
  letter-spacing: 0;
  color: #fff;
  background: #8a5a00;
}
`;

/** The baseline grid, drawn over the whole page. Margins are the page's own, so that text may leave it. */
const GRID_LINES = `
html { position: relative; }
html::after {
  content: "";
  position: absolute;
  inset: 0;
  z-index: 9;
  pointer-events: none;
  background: repeating-linear-gradient(to bottom, transparent 0 calc(var(${GRID_PROPERTY}) - 1px), rgb(47 75 160 / 0.3) 0 var(${GRID_PROPERTY}));
}
`;

/** Every `@font-face` of the proof, with files from the project's store in place of the bundle's. */
function faceRules({ fontUrl, document, fallback: plan, twins, delivery }: ProofState): string {
  const taken = shownFonts(document).map((font) => ({ font, source: font.file.sha256 }));
  const shown = delivery
    ? [
        ...delivery.files.map((font) => ({ font, source: font.source })),
        // Stand-ins of families by reference are no files of the bundle.
        ...taken.filter(({ font }) => font.family.source === 'reference'),
      ]
    : taken;
  // Files as they were taken in, of any format that browsers read: what is cut from one sets no letter otherwise.
  // Until a face is there its text is blank, so that what is judged is never another face; the swap is rehearsed in
  // Fallbacks.
  const web = shown.map(({ font, source }) =>
    servedFaceRules(document, font, `url(${cssString(fontUrl(source))})`, 'block'),
  );
  const fallback = plan.faces.map((face) => fallbackRules(face, twins[face.local]));
  return [...web, ...fallback].join('\n');
}

/** The sheet before all of a page's own, where the project's rules are delivered; none on pages without any. */
const startSheet = (page: Document): CSSStyleSheet | null =>
  page.querySelector<HTMLLinkElement>('#lettera-start')?.sheet ?? null;

/** Puts rules in the place of all but the first of a sheet that stands in a page. @param reader an empty sheet */
function fillAfterFirst(sheet: CSSStyleSheet, css: string, reader: CSSStyleSheet): void {
  while (sheet.cssRules.length > 1) sheet.deleteRule(1);
  reader.replaceSync(css);
  [...reader.cssRules].forEach(({ cssText }, i) => sheet.insertRule(cssText, i + 1));
}

/**
 * The project's type on a page in a frame, as the delivered style sheet sets it. Style sheets are
 * rewritten only when faces or rules change; a token that changes is one custom property set.
 */
export class ProofSheet {
  readonly #faces: CSSStyleSheet;
  readonly #rules: (css: string) => void;
  readonly #tokens: CSSStyleDeclaration;
  readonly #nearFirst: NearFirst;
  /** Whether the page is the site's own, and so has what 1rem is from its own style sheets. */
  readonly #isOwn: boolean;
  readonly #set = new Map<string, string>();
  #facesText = '';
  #rulesText = '';

  /** @param page the document of the frame; sheets are made in its own window, as adoption requires */
  constructor(page: Document) {
    const { CSSStyleSheet: Sheet } = page.defaultView as unknown as typeof globalThis;
    this.#faces = new Sheet();
    const outlines = new Sheet();
    outlines.replaceSync(OUTLINES + NEAR_FIRST_RULES);
    this.#nearFirst = new NearFirst(page);
    const start = startSheet(page);
    this.#isOwn = start !== null;
    if (start) {
      start.insertRule(':root {}');
      this.#tokens = (start.cssRules[0] as CSSStyleRule).style;
      this.#rules = (css) => fillAfterFirst(start, css, new Sheet());
      page.adoptedStyleSheets = [this.#faces, outlines];
      return;
    }
    const [tokens, rules] = [new Sheet(), new Sheet()];
    tokens.replaceSync(':root {}');
    this.#tokens = (tokens.cssRules[0] as CSSStyleRule).style;
    this.#rules = (css) => rules.replaceSync(css);
    page.adoptedStyleSheets = [this.#faces, tokens, rules, outlines];
  }

  /** Lays out all that was left, at once: to be measured. */
  settle(): void {
    this.#nearFirst.settle();
  }

  /** Brings the page to a state of the project, what is in view first. */
  update(state: ProofState): void {
    this.#nearFirst.apply(() => this.#write(state));
  }

  #write(state: ProofState): void {
    const { textSize = 1, bare = false } = state;
    const faces = bare ? '' : faceRules(state);
    if (faces !== this.#facesText) {
      this.#faces.replaceSync(faces);
      this.#facesText = faces;
    }
    this.#writeTokens(state);
    const { document } = state;
    const grid = document.scale.grid === undefined ? '' : GRID_LINES;
    const { root } = document.scale;
    const base = typeof root === 'number' ? root : USUAL_ROOT;
    const isUsual = textSize === 1 && (this.#isOwn || base === USUAL_ROOT);
    const enlarged = isUsual ? '' : `html { font-size: ${base * textSize}px !important; }\n`;
    const type =
      changedSizes(document) +
      narrowTokens(document) +
      otherSizes(document) +
      languageTokens(document, state.fallback) +
      (state.occasion === 'print' ? printedSizes(document) : '') +
      layeredRules(document) +
      grid;
    const rules = (bare ? '' : type) + enlarged;
    if (rules !== this.#rulesText) {
      this.#rules(rules);
      this.#rulesText = rules;
    }
  }

  #writeTokens({ document, fallback, fonts, ground, bare = false }: ProofState): void {
    const wanted = new Map(bare ? [] : customProperties(document, fallback, { fonts, ground }));
    for (const name of this.#set.keys()) {
      if (wanted.has(name)) continue;
      this.#tokens.removeProperty(name);
      this.#set.delete(name);
    }
    for (const [name, value] of wanted) {
      if (this.#set.get(name) === value) continue;
      this.#tokens.setProperty(name, value);
      this.#set.set(name, value);
    }
  }
}
