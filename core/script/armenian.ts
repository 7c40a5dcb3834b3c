import { AS_LATIN, script } from './script';

export const armenian = script({
  key: 'armenian',
  name: 'Armenian',
  iso: ['Armn'],
  has: /\p{Script_Extensions=Armenian}/u,
  // The ligature for “and”; and a dot that many texts end their sentences with, for the stop that keyboards have not.
  signs: 'և\u2024',
  capitals: true,
  body: { of: 'top', letters: ['ո', 'ս', 'ա'], called: 'x-height', againstX: 0.94 },
  reaches: 'ՖԹֆզջ',
  stroke: 'օ',
  sentence: 'Բոլոր մարդիկ ծնվում են ազատ ու հավասար իրենց արժանապատվությամբ ու իրավունքներով։',
  setting: AS_LATIN,
});
