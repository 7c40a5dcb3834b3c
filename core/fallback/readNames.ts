import { isGenericWord } from './plainNames';

/** An unquoted family name is a row of identifiers (CSS Fonts 4 §2.1.2): no word may begin with a figure. */
const IDENTIFIERS =
  /^-?[a-z_\u00a0-\u{10ffff}][\w\u00a0-\u{10ffff}-]*( -?[a-z_\u00a0-\u{10ffff}][\w\u00a0-\u{10ffff}-]*)*$/iu;

/** What was read of a list of family names as it is typed. */
export interface ReadNames {
  names: string[];
  /** What was put right, in words. */
  notes: string[];
}

/**
 * Reads family names as CSS has a list of them: parted by commas, in quotes or not. A generic at the end is
 * left out, since it has a place of its own.
 * @throws RangeError where quotes are left open, or a name cannot be one
 */
export function readNames(text: string): ReadNames {
  const names: string[] = [];
  const notes: string[] = [];
  let rest = text.trim();
  while (rest !== '') {
    const match = /^(?:"([^"]*)"|'([^']*)'|([^,"']*))\s*(,|$)\s*/.exec(rest);
    if (!match) throw new RangeError(`A quotation mark in “${rest.slice(0, 60)}” has no other.`);
    const [whole, double, single, bare] = match;
    const quoted = double ?? single;
    const name = (quoted ?? bare ?? '').trim().replace(/\s+/g, ' ');
    rest = rest.slice(whole.length);
    if (name === '') continue;
    if (quoted === undefined && !IDENTIFIERS.test(name)) {
      notes.push(`${name} has to stand in quotes in CSS; it is written so.`);
    }
    if (names.some((one) => one.toLowerCase() === name.toLowerCase())) {
      notes.push(`${name} stood there twice, and is kept once.`);
    } else names.push(name);
  }
  const last = names.at(-1);
  if (last && isGenericWord(last)) {
    names.pop();
    notes.push(`${last} ends the stack already, at the choice of the generic.`);
  }
  return { names, notes };
}
