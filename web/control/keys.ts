import { keys as say } from './words';
import { onScopeDispose, readonly, shallowRef } from 'vue';

/**
 * All keys of the application, in one place: one listener, one rule for staying out of the way of what is
 * typed, and the list from which the help is drawn.
 */

/** A key and what it does. */
export interface Key {
  /**
   * `f`, `[`, `Escape`, with `Mod+` (Ctrl or Cmd) and `Shift+` before it, or two keys one after the other:
   * `g s`. Without `run`, words for the help: what a control does with its own keys.
   */
  keys: string;
  /** As the help says it. */
  does: string;
  /** Whether it does anything now; otherwise the key is left to others. */
  when?: () => boolean;
  /** Whether it works while something is typed too: for keys that no text is made of, such as Escape. */
  whileTyping?: boolean;
  run?: (event: KeyboardEvent) => void;
}

/** Keys that belong together, under the heading that the help gives them. */
export interface KeyGroup {
  group: string;
  keys: readonly Key[];
}

/** The heading of the keys that work in every stage. */
export const EVERYWHERE = say.inEveryStage;

/** What takes letters itself. */
const TYPING =
  'input, textarea, select, [contenteditable], [role="combobox"], [role="listbox"], [role="searchbox"]';
/** What takes Enter and the space bar itself. */
const PRESSING = 'button, a[href], summary, [role="slider"], [role="tab"], [role="switch"]';

/** How long the first of two keys waits for the second, milliseconds. */
const CHORD_TIME = 1200;

const groups = shallowRef<readonly KeyGroup[]>([]);

/** The keys that do something now, latest group first. */
export const keyGroups = readonly(groups);

const isLetter = (key: string): boolean => key.length === 1 && key !== ' ';

/** A key press as `Key.keys` has it. A character that needs Shift to be typed is that character. */
function nameOf({ key, ctrlKey, metaKey, altKey, shiftKey }: KeyboardEvent): string | null {
  if (altKey) return null;
  const modifier = ctrlKey || metaKey;
  const name = modifier && isLetter(key) ? key.toLowerCase() : key;
  const shift = shiftKey && (modifier || !isLetter(key)) ? 'Shift+' : '';
  return `${shift}${modifier ? 'Mod+' : ''}${name}`;
}

let first = { name: '', until: 0 };

function onKey(event: KeyboardEvent): void {
  const target = event.target as Element | null;
  const name = nameOf(event);
  if (event.defaultPrevented || name === null) return;
  const typing = Boolean(target?.closest?.(TYPING));
  if (/^(Enter| )$/.test(event.key) && target?.closest?.(PRESSING)) return;
  const chord = event.timeStamp < first.until ? `${first.name} ${name}` : null;
  first = { name, until: 0 };
  const all = groups.value.flatMap(({ keys }) => keys);
  const runs = (pressed: string | null) =>
    all.find(
      ({ keys, when = () => true, whileTyping = false, run }) =>
        run && keys === pressed && (whileTyping || !typing) && when(),
    );
  const key = runs(chord) ?? runs(name);
  if (key) {
    event.preventDefault();
    key.run?.(event);
  } else if (!typing && all.some(({ keys }) => keys.startsWith(`${name} `))) {
    first = { name, until: event.timeStamp + CHORD_TIME };
  }
}

/** Adds keys. The last that were added are asked first. @returns how to take them away */
export function addKeys(group: string, keys: readonly Key[]): () => void {
  if (groups.value.length === 0) window.addEventListener('keydown', onKey);
  const added: KeyGroup = { group, keys };
  groups.value = [added, ...groups.value];
  return () => {
    groups.value = groups.value.filter((one) => one !== added);
    if (groups.value.length === 0) window.removeEventListener('keydown', onKey);
  };
}

/** Adds keys for as long as a component is there. */
export function useKeys(group: string, keys: readonly Key[]): void {
  onScopeDispose(addKeys(group, keys));
}
