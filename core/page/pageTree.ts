import { NO_TEXT, PLACES, plainText } from './textsOfPage';
import type { Seen } from './unclaimed';

/** How the tree of a page is read, whether a browser holds it or a parser. `Node` is its kind of element. */
export interface PageTree<Node> {
  /** In small letters. */
  tag(node: Node): string;
  attribute(node: Node, name: string): string | null;
  /** The element around one; null for the outermost. */
  parent(node: Node): Node | null;
  /** What an element holds, in order: elements, and text as such. */
  children(node: Node): Iterable<Node | string>;
}

const OUT: ReadonlySet<string> = new Set(NO_TEXT);
const AROUND: ReadonlySet<string> = new Set(PLACES);

/** Every element that holds text of its own, in the order in which their text begins. @param root where the page begins */
export function textElementsIn<Node>(tree: PageTree<Node>, root: Node): Node[] {
  const found = new Set<Node>();
  // Elements under way, the innermost last: pages nest deeper than calls may.
  const open = [{ node: root, children: tree.children(root)[Symbol.iterator]() }];
  for (let top = open.at(-1); top; top = open.at(-1)) {
    const { value: child, done } = top.children.next();
    if (done) open.pop();
    else if (typeof child === 'string') {
      if (child.trim() !== '') found.add(top.node);
    } else if (!OUT.has(tree.tag(child))) {
      open.push({ node: child, children: tree.children(child)[Symbol.iterator]() });
    }
  }
  return [...found];
}

/** The text that an element holds itself, blanks as one. */
export function ownTextIn<Node>(tree: PageTree<Node>, node: Node): string {
  let text = '';
  for (const child of tree.children(node)) if (typeof child === 'string') text += child;
  return plainText(text);
}

/** What an element is, as far as its kind is looked for by it; without its text. */
export function seenIn<Node>(tree: PageTree<Node>, node: Node): Omit<Seen<Node>, 'text'> {
  let place = tree.parent(node);
  while (place !== null && !AROUND.has(tree.tag(place))) place = tree.parent(place);
  return {
    node,
    tag: tree.tag(node),
    classes: (tree.attribute(node, 'class') ?? '').split(/\s+/).filter(Boolean),
    role: tree.attribute(node, 'role'),
    place: place === null ? null : tree.tag(place),
    language: languageAround(tree, node),
  };
}

/** What the nearest `lang` around an element says, or its own. */
function languageAround<Node>(tree: PageTree<Node>, node: Node): string | undefined {
  for (let around: Node | null = node; around !== null; around = tree.parent(around)) {
    const said = tree.attribute(around, 'lang');
    if (said !== null) return said.trim() || undefined;
  }
  return undefined;
}

/** An element as people name it: its tag, and its first class. */
export function namedIn<Node>(tree: PageTree<Node>, node: Node): string {
  const { tag, classes } = seenIn(tree, node);
  return tag + (classes[0] ? `.${classes[0]}` : '');
}

/** The nearest element around one that has been numbered, by its number; null where none has. */
export function numberAround<Node>(
  tree: PageTree<Node>,
  node: Node,
  numbers: ReadonlyMap<Node, number>,
): number | null {
  for (let around = tree.parent(node); around !== null; around = tree.parent(around)) {
    const number = numbers.get(around);
    if (number !== undefined) return number;
  }
  return null;
}
