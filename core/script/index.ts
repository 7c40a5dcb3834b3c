export {
  LANGUAGE_SOURCE,
  languageOf,
  LANGUAGES,
  lettersTogether,
  scriptOfLanguage,
  scriptOfTag,
  type Language,
} from './language';
export { scriptByCode, scriptOf, scriptOfCharacter, SCRIPT_KEYS, SCRIPTS } from './scripts';
export type { BodyHeight, Joining, Script, Setting } from './script';
