import { arabic } from './arabic';
import { armenian } from './armenian';
import { bengali } from './bengali';
import { cyrillic } from './cyrillic';
import { devanagari } from './devanagari';
import { georgian } from './georgian';
import { greek } from './greek';
import { japanese, korean, simplifiedChinese, traditionalChinese } from './han';
import { hebrew } from './hebrew';
import { latin } from './latin';
import { OTHERS } from './others';
import type { Script } from './script';
import { tamil } from './tamil';
import { thai } from './thai';

/** Every script that text can be set in. */
export const SCRIPTS: readonly Script[] = [
  latin,
  greek,
  cyrillic,
  armenian,
  georgian,
  hebrew,
  arabic,
  devanagari,
  bengali,
  tamil,
  thai,
  japanese,
  korean,
  simplifiedChinese,
  traditionalChinese,
  ...OTHERS,
];

const byKey = new Map(SCRIPTS.map((script) => [script.key, script]));
const byIso = new Map(SCRIPTS.flatMap((script) => script.iso.map((code) => [code, script])));

/** Keys of scripts that a voice can have a family of its own for. */
export const SCRIPT_KEYS: readonly string[] = SCRIPTS.map(({ key }) => key);

/** A script by its key; undefined for what is none. */
export const scriptOf = (key: string): Script | undefined => byKey.get(key);

/** A script by its ISO 15924 code; undefined for one that is not in the list. */
export const scriptByCode = (code: string): Script | undefined => byIso.get(code);

/** The script of a character, the first that has it; undefined for what is common to all. */
export const scriptOfCharacter = (character: string): Script | undefined =>
  SCRIPTS.find(({ has }) => has.test(character));
