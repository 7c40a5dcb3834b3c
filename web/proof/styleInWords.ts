import { styleInWords as say } from './words';
import { PROPERTIES, type ProjectDocument, type PropertyName } from '@lettera/core/document';

/** As many properties are named as are read at a glance. */
const NAMED = 4;

/** `size, line height and 2 more`. */
function listed(names: readonly string[]): string {
  const shown = names.slice(0, NAMED);
  const more = names.length - shown.length;
  if (more > 0) return say.andMore(shown.join(', '), more);
  return shown.length < 2
    ? (shown[0] ?? '')
    : say.and(shown.slice(0, -1).join(', '), shown.at(-1) ?? '');
}

/** What a style is, for who points at its text: its name, what is set in it, and what the rest follows. */
export function styleInWords(document: ProjectDocument, key: string): string {
  const style = document.styles[key];
  if (!style) return '';
  const set = (Object.keys(style.set) as PropertyName[]).map((name) =>
    PROPERTIES[name].label.toLowerCase(),
  );
  const followed = document.styles[style.follows ?? '']?.name;
  return [
    style.name,
    set.length > 0 ? say.setHere(listed(set)) : say.nothingSetHere,
    followed ? say.restFollows(followed) : '',
  ]
    .filter(Boolean)
    .join(' · ');
}
