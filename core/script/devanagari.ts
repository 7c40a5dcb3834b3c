import { script } from './script';

export const devanagari = script({
  key: 'devanagari',
  name: 'Devanagari',
  iso: ['Deva'],
  has: /\p{Script_Extensions=Devanagari}|[\u200c\u200d]/u,
  joining: 'head-line',
  body: {
    of: 'below-head',
    letters: ['न', 'म', 'ग'],
    called: 'height below the head line',
    againstX: 1.06,
  },
  reaches: 'र्कीँद्रुहृटु',
  stroke: 'व',
  text: { colour: [0.126, 0.141], width: [0.61, 0.66] },
  sentence: 'सभी मनुष्यों को गौरव और अधिकारों के मामले में जन्मजात स्वतन्त्रता और समानता प्राप्त है।',
  setting: { lineHeight: 1.15, measure: [45, 75], emphasis: 'weight' },
});
