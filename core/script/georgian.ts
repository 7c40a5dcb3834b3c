import { script } from './script';

/** Its capitals, Mtavruli, set whole words and stand at the head of none: text is not put into them unasked. */
export const georgian = script({
  key: 'georgian',
  name: 'Georgian',
  iso: ['Geor'],
  has: /\p{Script_Extensions=Georgian}/u,
  body: { of: 'top', letters: ['თ', 'ი', 'ა'], called: 'x-height', againstX: 1.02 },
  reaches: 'ჰბკფყჯ',
  stroke: 'ი',
  sentence: 'ყოველი ადამიანი იბადება თავისუფალი და თანასწორი თავისი ღირსებითა და უფლებებით.',
  setting: { lineHeight: 1.05, measure: [45, 75], emphasis: 'weight' },
});
