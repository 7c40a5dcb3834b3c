/** Families that were drawn for another script than Latin, whose letters keep them company. */
const BY_SCRIPT: Readonly<Record<string, string>> = {
  arabic: 'noto-naskh-arabic noto-sans-arabic cairo vazirmatn readex-pro markazi-text amiri',
  hebrew: 'noto-serif-hebrew frank-ruhl-libre assistant heebo',
  devanagari: 'noto-sans-devanagari noto-serif-devanagari hind martel',
  bengali: 'noto-serif-bengali hind-siliguri',
  tamil: 'noto-serif-tamil catamaran hind-madurai',
  thai: 'noto-serif-thai sarabun',
  armenian: 'noto-sans-armenian noto-serif-armenian',
  georgian: 'noto-sans-georgian noto-serif-georgian',
  japanese: 'sawarabi-mincho sawarabi-gothic biz-udpgothic',
  korean: 'gowun-batang gowun-dodum',
  'chinese-simplified': 'zcool-xiaowei',
  'chinese-traditional': 'cactus-classical-serif chocolate-classical-sans',
};

const scripts = new Map(
  Object.entries(BY_SCRIPT).flatMap(([script, ids]) =>
    ids.split(' ').map((id) => [id, script] as const),
  ),
);

/** The script that a family was drawn for, as its makers say; further ones are in its company. */
export const drawnFor = (id: string): string => scripts.get(id) ?? 'latin';
