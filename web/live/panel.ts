import { TOOLS_SHEET } from './toolsSheet';
import { tools as say } from './words';

/** Something that can be done on the page. */
export interface Deed {
  label: () => string;
  act: () => void | Promise<void>;
}

const CLOSE = (panel: Panel): readonly [string, Deed['act']] => [say.close, () => panel.say([])];

/** The tools' own place on the page: a word in the corner that opens what can be done, and says what came of it. */
export class Panel {
  readonly tree: ShadowRoot;
  readonly #host = document.createElement('lettera-tools');
  readonly #list = document.createElement('ul');
  readonly #said = document.createElement('div');
  readonly #panel = document.createElement('div');
  readonly #opener = document.createElement('button');

  constructor(private readonly deeds: readonly Deed[]) {
    this.tree = this.#host.attachShadow({ mode: 'open' });
    const sheet = new CSSStyleSheet();
    sheet.replaceSync(TOOLS_SHEET);
    this.tree.adoptedStyleSheets = [sheet];
    const bar = document.createElement('div');
    bar.className = 'bar';
    this.#panel.className = 'panel';
    this.#panel.hidden = true;
    this.#panel.setAttribute('role', 'group');
    this.#panel.setAttribute('aria-label', say.tools);
    const hint = document.createElement('p');
    hint.className = 'hint';
    hint.textContent = say.point;
    this.#said.className = 'panel said';
    this.#said.setAttribute('role', 'status');
    this.#panel.append(hint, this.#list);
    this.#opener.className = 'open';
    this.#opener.textContent = say.lettera;
    this.#opener.setAttribute('aria-expanded', 'false');
    this.#opener.onclick = () => this.open(this.#panel.hidden);
    bar.append(this.#said, this.#panel, this.#opener);
    bar.addEventListener('keydown', (event) => {
      // What is typed here is not for the site's own keys.
      event.stopPropagation();
      if (event.key !== 'Escape') return;
      this.open(false);
      this.#opener.focus();
    });
    this.tree.append(bar);
    document.documentElement.append(this.#host);
  }

  open(isOpen: boolean): void {
    this.#panel.hidden = !isOpen;
    this.#opener.setAttribute('aria-expanded', String(isOpen));
    if (isOpen) this.write();
  }

  /** Writes anew what can be done, as it stands. */
  write(): void {
    const focused = [...this.#list.querySelectorAll('button')].indexOf(
      this.tree.activeElement as HTMLButtonElement,
    );
    this.#list.replaceChildren(
      ...this.deeds.map(({ label, act }) => {
        const item = document.createElement('li');
        item.append(this.#button(label(), act));
        return item;
      }),
    );
    this.#list.querySelectorAll('button')[focused]?.focus();
  }

  #button(label: string, act: Deed['act']): HTMLButtonElement {
    const button = document.createElement('button');
    button.textContent = label;
    button.onclick = () => void act();
    return button;
  }

  /** Says what came of something, in lines, with what can be done about it. */
  say(lines: readonly string[], deeds: readonly (readonly [string, Deed['act']])[] = []): void {
    this.#said.replaceChildren(
      ...lines.map((line) => {
        const paragraph = document.createElement('p');
        paragraph.textContent = line;
        return paragraph;
      }),
      ...[...deeds, ...(lines.length > 0 ? [CLOSE(this)] : [])].map(([label, act]) =>
        this.#button(label, act),
      ),
    );
    if (deeds.length > 0) this.#said.querySelector('button')?.focus();
  }

  remove(): void {
    this.#host.remove();
  }
}
