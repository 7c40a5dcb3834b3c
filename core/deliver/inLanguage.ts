import type { SetLanguage } from '../style/inLanguage';

/**
 * Tags that pages say a language by beside its own, which `:lang()` does not take for it: Chinese by country, and
 * Norwegian as such. CLDR, likely subtags.
 */
const ALSO: Readonly<Record<string, readonly string[]>> = {
  'zh-hans': ['zh-CN', 'zh-SG', 'zh-MY'],
  'zh-hant': ['zh-TW', 'zh-HK', 'zh-MO', 'yue'],
  nb: ['no'],
};

/** Text in a language, as a selector has it. Selectors 4 §7.2. */
export function inLanguage({ tag, key }: Pick<SetLanguage, 'tag' | 'key'>): string {
  const tags = [tag, ...(ALSO[key] ?? [])].map((one) => `:lang(${one})`);
  return tags.length > 1 ? `:is(${tags.join(', ')})` : (tags[0] ?? '');
}
