export {
  LANGUAGE_SOURCE,
  languageOf,
  LANGUAGES,
  scriptOfLanguage,
  scriptOfTag,
  type Language,
} from './language';
export type { LettersTogether } from './together';
export { scriptByCode, scriptOf, scriptOfCharacter, SCRIPT_KEYS, SCRIPTS } from './scripts';
export type { BodyHeight, Joining, Script, Setting } from './script';
