import { script, type Script } from './script';

const other = (name: string, iso: string, of: Partial<Script> = {}): Script =>
  script({
    key: name.toLowerCase().replaceAll(' ', '-'),
    name,
    iso: [iso],
    has: new RegExp(`\\p{Script_Extensions=${iso}}`, 'u'),
    ...of,
  });

const RIGHT_TO_LEFT = { direction: 'rtl' } as const;
const CURSIVE = { direction: 'rtl', joining: 'cursive' } as const;
const HEAD_LINE = { joining: 'head-line' } as const;

/** Scripts that text is set in and whose faces are not measured on letters of their own yet. */
export const OTHERS: readonly Script[] = [
  other('Canadian Aboriginal', 'Cans'),
  other('Chakma', 'Cakm'),
  other('Cherokee', 'Cher', { capitals: true }),
  other('Coptic', 'Copt', { capitals: true }),
  other('Ethiopic', 'Ethi'),
  other('Gujarati', 'Gujr'),
  other('Gurmukhi', 'Guru', HEAD_LINE),
  other('Kannada', 'Knda'),
  other('Khmer', 'Khmr'),
  other('Lao', 'Laoo'),
  other('Malayalam', 'Mlym'),
  other('Meetei Mayek', 'Mtei'),
  other('Mongolian', 'Mong', { joining: 'cursive' }),
  other('Myanmar', 'Mymr'),
  other('N’Ko', 'Nkoo', { key: 'nko', ...CURSIVE }),
  other('Nyiakeng Puachue Hmong', 'Hmnp'),
  other('Ol Chiki', 'Olck'),
  other('Oriya', 'Orya'),
  other('Osage', 'Osge', { capitals: true }),
  other('Hanifi Rohingya', 'Rohg', CURSIVE),
  other('Sinhala', 'Sinh'),
  other('Syriac', 'Syrc', CURSIVE),
  other('Tai Viet', 'Tavt'),
  other('Telugu', 'Telu'),
  other('Thaana', 'Thaa', RIGHT_TO_LEFT),
  other('Tibetan', 'Tibt'),
  other('Tifinagh', 'Tfng'),
  other('Adlam', 'Adlm', { ...CURSIVE, capitals: true }),
  other('Vai', 'Vaii'),
  other('Yi', 'Yiii'),
];
