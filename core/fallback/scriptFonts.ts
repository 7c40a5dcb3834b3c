import {
  APPLE,
  BARE,
  font,
  HYPHENED,
  MONOTYPE,
  only,
  set,
  type LocalClass,
  type LocalFont,
  type LocalPlatform,
  type LocalSet,
} from './localSet';

/** Local fonts of scripts other than Latin, Greek and Cyrillic, as the platforms' makers list them. */

const REGULAR_AND_BOLD = only(BARE, 'regular', 'bold');
const HYPHENED_PAIR = only(HYPHENED, 'regular', 'bold');
const REGULAR = only(BARE, 'regular');
const GOOGLE = ['android', 'chromeos', 'linux'] as const;

/** A font of regular and bold, whose PostScript names are hyphened. */
const hyphened = (
  name: string,
  platforms: readonly LocalPlatform[],
  postScript?: string,
): LocalFont => font(name, platforms, HYPHENED_PAIR, postScript);

/** A font whose names by weight follow no pattern. */
const named = (
  name: string,
  platforms: readonly LocalPlatform[],
  regular: readonly string[],
  bold?: readonly string[],
): LocalFont => ({ name, platforms, localNames: { regular, ...(bold ? { bold } : {}) } });

/** Sets of one script, by the key of each. Those of the Noto family are open, and their own twins. */
const of = (script: string, sets: Record<string, LocalSet>): Record<string, LocalSet> =>
  Object.fromEntries(
    Object.entries(sets).map(([key, one]) => [`${script}-${key}`, { ...one, script }]),
  );

const one = (drawn: LocalClass, local: LocalFont, twin: string | null = null): LocalSet =>
  set(drawn, [local], twin);

const noto = (name: string, platforms: readonly LocalPlatform[] = GOOGLE): LocalSet =>
  one(
    name.includes('Serif') || name.includes('Naskh') ? 'serif' : 'sans-serif',
    hyphened(name, platforms),
    name.toLowerCase().replaceAll(' ', '-'),
  );

/** A collection of the ideographic fonts that are open; each ideograph is as wide as the em. */
const collection = (name: string): LocalSet =>
  one(name.includes('Serif') ? 'serif' : 'sans-serif', hyphened(name, GOOGLE));

const nirmala = one(
  'sans-serif',
  named(
    'Nirmala UI',
    ['windows'],
    ['Nirmala UI', 'NirmalaUI'],
    ['Nirmala UI Bold', 'NirmalaUI-Bold'],
  ),
);
const segoe = one('sans-serif', font('Segoe UI', ['windows'], REGULAR_AND_BOLD));
const sylfaen = one('serif', font('Sylfaen', ['windows'], REGULAR));

export const SCRIPT_SETS: Readonly<Record<string, LocalSet>> = {
  ...of('arabic', {
    'times-new-roman': one(
      'serif',
      font('Times New Roman', ['windows'], only(MONOTYPE, 'regular', 'bold'), 'TimesNewRomanPS'),
    ),
    'segoe-ui': segoe,
    'geeza-pro': one(
      'sans-serif',
      named('Geeza Pro', APPLE, ['Geeza Pro', 'GeezaPro'], ['Geeza Pro Bold', 'GeezaPro-Bold']),
    ),
    damascus: one(
      'serif',
      named('Damascus', APPLE, ['Damascus'], ['Damascus Bold', 'DamascusBold']),
    ),
    'noto-naskh-arabic': noto('Noto Naskh Arabic'),
    'noto-sans-arabic': noto('Noto Sans Arabic', ['chromeos', 'linux']),
  }),
  ...of('hebrew', {
    'times-new-roman': set(
      'serif',
      [
        font(
          'Times New Roman',
          ['windows', 'macos'],
          only(MONOTYPE, 'regular', 'bold'),
          'TimesNewRomanPS',
        ),
        font('Liberation Serif', ['linux'], REGULAR_AND_BOLD),
        font('Tinos', ['chromeos'], HYPHENED_PAIR),
      ],
      'tinos',
    ),
    arial: set(
      'sans-serif',
      [
        font('Arial', ['windows', 'macos'], only(MONOTYPE, 'regular', 'bold')),
        font('Liberation Sans', ['linux'], REGULAR_AND_BOLD),
        font('Arimo', ['chromeos'], HYPHENED_PAIR),
      ],
      'arimo',
    ),
    'arial-hebrew': one('sans-serif', font('Arial Hebrew', APPLE, REGULAR_AND_BOLD)),
    'new-peninim-mt': one(
      'serif',
      named(
        'New Peninim MT',
        ['macos'],
        ['New Peninim MT', 'NewPeninimMT'],
        ['New Peninim MT Bold', 'NewPeninimMT-Bold'],
      ),
    ),
    'noto-sans-hebrew': noto('Noto Sans Hebrew'),
    'noto-serif-hebrew': noto('Noto Serif Hebrew'),
  }),
  ...of('armenian', {
    'segoe-ui': segoe,
    sylfaen,
    mshtakan: one(
      'serif',
      named('Mshtakan', ['macos'], ['Mshtakan'], ['Mshtakan Bold', 'MshtakanBold']),
    ),
    'noto-sans-armenian': noto('Noto Sans Armenian'),
    'noto-serif-armenian': noto('Noto Serif Armenian'),
  }),
  ...of('georgian', {
    'segoe-ui': segoe,
    sylfaen,
    'noto-sans-georgian': noto('Noto Sans Georgian'),
    'noto-serif-georgian': noto('Noto Serif Georgian'),
  }),
  ...of('devanagari', {
    'nirmala-ui': nirmala,
    'kohinoor-devanagari': one('sans-serif', hyphened('Kohinoor Devanagari', APPLE)),
    'devanagari-mt': one(
      'serif',
      named(
        'Devanagari MT',
        ['macos'],
        ['Devanagari MT', 'DevanagariMT'],
        ['Devanagari MT Bold', 'DevanagariMT-Bold'],
      ),
    ),
    'noto-sans-devanagari': noto('Noto Sans Devanagari'),
    'noto-serif-devanagari': noto('Noto Serif Devanagari'),
  }),
  ...of('bengali', {
    'nirmala-ui': nirmala,
    'kohinoor-bangla': one('sans-serif', hyphened('Kohinoor Bangla', APPLE)),
    'bangla-mn': one(
      'serif',
      named('Bangla MN', APPLE, ['Bangla MN', 'BanglaMN'], ['Bangla MN Bold', 'BanglaMN-Bold']),
    ),
    'noto-serif-bengali': noto('Noto Serif Bengali'),
  }),
  ...of('tamil', {
    'nirmala-ui': nirmala,
    'tamil-sangam-mn': one(
      'sans-serif',
      named(
        'Tamil Sangam MN',
        APPLE,
        ['Tamil Sangam MN', 'TamilSangamMN'],
        ['Tamil Sangam MN Bold', 'TamilSangamMN-Bold'],
      ),
    ),
    'tamil-mn': one(
      'serif',
      named('Tamil MN', APPLE, ['Tamil MN', 'TamilMN'], ['Tamil MN Bold', 'TamilMN-Bold']),
    ),
    'noto-serif-tamil': noto('Noto Serif Tamil'),
  }),
  ...of('thai', {
    'leelawadee-ui': one(
      'sans-serif',
      named(
        'Leelawadee UI',
        ['windows'],
        ['Leelawadee UI', 'LeelawadeeUI'],
        ['Leelawadee UI Bold', 'LeelawadeeUI-Bold'],
      ),
    ),
    thonburi: one('sans-serif', font('Thonburi', APPLE, REGULAR_AND_BOLD)),
    'noto-serif-thai': noto('Noto Serif Thai'),
  }),
  ...of('japanese', {
    'yu-gothic': one(
      'sans-serif',
      named(
        'Yu Gothic',
        ['windows'],
        ['Yu Gothic Regular', 'YuGothic-Regular'],
        ['Yu Gothic Bold', 'YuGothic-Bold'],
      ),
    ),
    'hiragino-sans': one(
      'sans-serif',
      named(
        'Hiragino Sans',
        APPLE,
        ['Hiragino Sans W3', 'HiraginoSans-W3'],
        ['Hiragino Sans W6', 'HiraginoSans-W6'],
      ),
    ),
    'noto-sans-cjk-jp': collection('Noto Sans CJK JP'),
    'yu-mincho': one(
      'serif',
      named(
        'Yu Mincho',
        ['windows'],
        ['Yu Mincho Regular', 'YuMincho-Regular'],
        ['Yu Mincho Demibold', 'YuMincho-Demibold'],
      ),
    ),
    'hiragino-mincho-pron': one(
      'serif',
      named(
        'Hiragino Mincho ProN',
        APPLE,
        ['Hiragino Mincho ProN W3', 'HiraMinProN-W3'],
        ['Hiragino Mincho ProN W6', 'HiraMinProN-W6'],
      ),
    ),
    'noto-serif-cjk-jp': collection('Noto Serif CJK JP'),
  }),
  ...of('chinese-simplified', {
    'microsoft-yahei': one(
      'sans-serif',
      named(
        'Microsoft YaHei',
        ['windows'],
        ['Microsoft YaHei', 'MicrosoftYaHei'],
        ['Microsoft YaHei Bold', 'MicrosoftYaHei-Bold'],
      ),
    ),
    'pingfang-sc': one(
      'sans-serif',
      named(
        'PingFang SC',
        APPLE,
        ['PingFang SC Regular', 'PingFangSC-Regular'],
        ['PingFang SC Semibold', 'PingFangSC-Semibold'],
      ),
    ),
    'noto-sans-cjk-sc': collection('Noto Sans CJK SC'),
    simsun: one('serif', font('SimSun', ['windows'], REGULAR)),
    'songti-sc': one(
      'serif',
      named(
        'Songti SC',
        APPLE,
        ['Songti SC Regular', 'STSongti-SC-Regular'],
        ['Songti SC Bold', 'STSongti-SC-Bold'],
      ),
    ),
    'noto-serif-cjk-sc': collection('Noto Serif CJK SC'),
  }),
  ...of('chinese-traditional', {
    'microsoft-jhenghei': one(
      'sans-serif',
      named(
        'Microsoft JhengHei',
        ['windows'],
        ['Microsoft JhengHei', 'MicrosoftJhengHeiRegular'],
        ['Microsoft JhengHei Bold', 'MicrosoftJhengHeiBold'],
      ),
    ),
    'pingfang-tc': one(
      'sans-serif',
      named(
        'PingFang TC',
        APPLE,
        ['PingFang TC Regular', 'PingFangTC-Regular'],
        ['PingFang TC Semibold', 'PingFangTC-Semibold'],
      ),
    ),
    'noto-sans-cjk-tc': collection('Noto Sans CJK TC'),
    pmingliu: one('serif', font('PMingLiU', ['windows'], REGULAR)),
    'songti-tc': one(
      'serif',
      named(
        'Songti TC',
        APPLE,
        ['Songti TC Regular', 'STSongti-TC-Regular'],
        ['Songti TC Bold', 'STSongti-TC-Bold'],
      ),
    ),
    'noto-serif-cjk-tc': collection('Noto Serif CJK TC'),
  }),
  ...of('korean', {
    'malgun-gothic': one(
      'sans-serif',
      named(
        'Malgun Gothic',
        ['windows'],
        ['Malgun Gothic', 'MalgunGothicRegular'],
        ['Malgun Gothic Bold', 'MalgunGothicBold'],
      ),
    ),
    'apple-sd-gothic-neo': one(
      'sans-serif',
      named(
        'Apple SD Gothic Neo',
        APPLE,
        ['Apple SD Gothic Neo Regular', 'AppleSDGothicNeo-Regular'],
        ['Apple SD Gothic Neo Bold', 'AppleSDGothicNeo-Bold'],
      ),
    ),
    'noto-sans-cjk-kr': collection('Noto Sans CJK KR'),
    batang: one('serif', font('Batang', ['windows'], REGULAR)),
    applemyungjo: one('serif', font('AppleMyungjo', ['macos'], REGULAR)),
    'noto-serif-cjk-kr': collection('Noto Serif CJK KR'),
  }),
};
