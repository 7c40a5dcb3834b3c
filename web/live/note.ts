const NOTE =
  'p{all:initial;position:fixed;left:16px;bottom:16px;z-index:2147483647;max-width:34em;padding:10px 14px;font:13px/1.45 system-ui,sans-serif;color:#131a18;background:#fcfdfc;border:1px solid #4c5854}button{all:unset;margin-left:12px;text-decoration:underline;cursor:pointer}button:focus-visible{outline:2px solid #0e6656}';

let said: HTMLElement | null = null;

/** Says something on the page, until it is closed; in a tree of its own, which the site's style sheets do not reach. */
export function say(text: string): void {
  said?.remove();
  const host = document.createElement('lettera-note');
  const tree = host.attachShadow({ mode: 'open' });
  const sheet = new CSSStyleSheet();
  sheet.replaceSync(NOTE);
  tree.adoptedStyleSheets = [sheet];
  const note = document.createElement('p');
  note.setAttribute('role', 'status');
  note.textContent = `Lettera: ${text}`;
  const close = document.createElement('button');
  close.textContent = 'Close';
  close.onclick = () => host.remove();
  note.append(close);
  tree.append(note);
  document.documentElement.append(host);
  said = host;
}
