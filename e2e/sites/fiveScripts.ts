import { packaged, type SiteFiles } from './stockPages';

/** What a page of the site says, in one language. */
interface Copy {
  title: string;
  lead: string;
  text: string;
  heading: string;
  item: string;
  quotation: string;
  button: string;
}

export const DIRECTIONS = { en: 'ltr', he: 'rtl', th: 'ltr', ko: 'ltr', ka: 'ltr' } as const;
export type SiteLanguage = keyof typeof DIRECTIONS;
export const SITE_LANGUAGES = Object.keys(DIRECTIONS) as SiteLanguage[];

const COPY: Readonly<Record<SiteLanguage, Copy>> = {
  en: {
    title: 'The boat to Tarnholm',
    lead: 'It goes on Fridays.',
    text: 'The light is lit at dusk and kept until morning. Any guest may read the log. ',
    heading: 'Fares',
    item: 'One way',
    quotation: 'The sea is in no hurry.',
    button: 'Book',
  },
  he: {
    title: 'הסירה לטרנהולם',
    lead: 'היא יוצאת בימי שישי.',
    text: 'האור נדלק עם רדת החשכה ונשמר עד הבוקר. כל אורח רשאי לקרוא ביומן. ',
    heading: 'מחירים',
    item: 'כיוון אחד',
    quotation: 'הים אינו ממהר.',
    button: 'הזמנה',
  },
  th: {
    title: 'เรือไปทาร์นโฮล์ม',
    lead: 'เรือออกทุกวันศุกร์',
    text: 'ไฟจะสว่างเมื่อพลบค่ำและอยู่จนถึงเช้า แขกทุกคนอ่านสมุดบันทึกได้ ',
    heading: 'ราคา',
    item: 'เที่ยวเดียว',
    quotation: 'ทะเลไม่เคยรีบร้อน',
    button: 'จอง',
  },
  ko: {
    title: '타른홀름으로 가는 배',
    lead: '금요일마다 떠납니다.',
    text: '등불은 해가 지면 켜지고 아침까지 지켜집니다. 손님은 누구나 일지를 읽을 수 있습니다. ',
    heading: '요금',
    item: '편도',
    quotation: '바다는 서두르지 않는다.',
    button: '예약',
  },
  ka: {
    title: 'ნავი ტარნჰოლმში',
    lead: 'ის პარასკევს გადის.',
    text: 'სინათლე დაბინდებისას ინთება და დილამდე ენთება. ჟურნალის წაკითხვა ყველა სტუმარს შეუძლია. ',
    heading: 'ფასები',
    item: 'ერთი მხარე',
    quotation: 'ზღვა არ ჩქარობს.',
    button: 'დაჯავშნა',
  },
};

const page = (language: SiteLanguage): string => {
  const copy = COPY[language];
  return `<!doctype html><html lang="${language}" dir="${DIRECTIONS[language]}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${copy.title}</title><link rel="stylesheet" href="type/site.css"></head>
<body><main><h1>${copy.title}</h1><p class="lead">${copy.lead}</p><p>${copy.text.repeat(6)}</p>
<h2>${copy.heading}</h2><ul><li>${copy.item}: 12 €</li><li>${copy.item}</li></ul><p>${copy.text.repeat(3)}</p>
<blockquote><p>${copy.quotation}</p></blockquote><p class="small">${copy.lead}</p><a class="button" href="#">${copy.button}</a></main></body></html>`;
};

/** The family that sets each language, in text and in headings; the file of it that has the script. */
export const FAMILY_OF: Readonly<Record<SiteLanguage, string>> = {
  en: 'Literata',
  he: 'Noto Serif Hebrew',
  th: 'Noto Serif Thai',
  ko: 'Gowun Batang',
  ka: 'Noto Serif Georgian',
};
const FILES = {
  Literata: ['@fontsource-variable/literata', 'literata-latin-wght-normal'],
  'Noto Serif Hebrew': [
    '@fontsource-variable/noto-serif-hebrew',
    'noto-serif-hebrew-hebrew-wght-normal',
  ],
  'Noto Serif Thai': ['@fontsource-variable/noto-serif-thai', 'noto-serif-thai-thai-wght-normal'],
  'Gowun Batang': ['@fontsource/gowun-batang', 'gowun-batang-korean-400-normal'],
  'Noto Serif Georgian': [
    '@fontsource-variable/noto-serif-georgian',
    'noto-serif-georgian-georgian-wght-normal',
  ],
} as const;

const faces = Object.entries(FILES)
  .map(
    ([family, [, file]]) =>
      `@font-face { font-family: "${family}"; src: url("${file}.woff2") format("woff2"); font-weight: ${file.includes('wght') ? '100 900' : '400'} }`,
  )
  .join('\n');

/**
 * A site in five scripts as it is written by hand: Georgian by the stack of all, the rest by `:lang()`, where lines are
 * higher too.
 */
export const fiveScripts = (): SiteFiles => ({
  ...Object.fromEntries(
    SITE_LANGUAGES.map((one) => [`${one === 'en' ? 'index' : one}.html`, page(one)]),
  ),
  'type/site.css': `${faces}
body { font: 17px/1.5 "Literata", "Noto Serif Georgian", Georgia, serif; color: #222; background: #fff; margin: 2rem }
h1 { font-size: 40px; line-height: 1.2; font-weight: 600 } h2 { font-size: 26px; line-height: 1.25; font-weight: 600 }
.lead { font-size: 21px } .small { font-size: 14px; color: #555 } blockquote p { font-size: 21px; font-style: italic }
.button { font-weight: 600 }
:lang(he) { font-family: "Noto Serif Hebrew", serif } :lang(th) { font-family: "Noto Serif Thai", serif }
:lang(ko) { font-family: "Gowun Batang", serif }
:lang(th) { line-height: 1.9 } :lang(th):is(h1, h2) { line-height: 1.5 } :lang(he) blockquote p, :lang(th) blockquote p { font-style: normal }`,
  ...Object.fromEntries(
    Object.values(FILES).map(([name, file]) => [
      `type/${file}.woff2`,
      packaged(name, `files/${file}.woff2`),
    ]),
  ),
});
