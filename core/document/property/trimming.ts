import { property } from './property';

/** Room above capitals and below the baseline that is taken away at the edges of a text. CSS Inline 3 §5. */
export const trimming = property({
  label: 'Trimming',
  css: 'text-box',
  longhand: 'text-box-trim',
  inherited: false,
  inFontShorthand: false,
  initial: 'normal',
  part: 'around',
  values: {
    kind: 'choice',
    of: [
      'normal',
      'trim-both cap alphabetic',
      'trim-start cap alphabetic',
      'trim-end cap alphabetic',
      'trim-both ex alphabetic',
    ],
    words: {
      normal: 'not',
      'trim-both cap alphabetic': 'capitals to baseline',
      'trim-start cap alphabetic': 'above capitals',
      'trim-end cap alphabetic': 'below the baseline',
      'trim-both ex alphabetic': 'small letters to baseline',
    },
  },
  engines: 'In Chromium and WebKit; Firefox keeps the whole line box.',
  tells: null,
});
