import { script } from './script';

export const bengali = script({
  key: 'bengali',
  name: 'Bengali',
  iso: ['Beng'],
  has: /\p{Script_Extensions=Bengali}|[\u200c\u200d]/u,
  joining: 'head-line',
  body: {
    of: 'below-head',
    letters: ['ন', 'ম', 'গ'],
    called: 'height below the head line',
    againstX: 1.1,
  },
  reaches: 'র্কিঁদ্রুহৃ',
  stroke: 'ব',
  sentence: 'সমস্ত মানুষ স্বাধীনভাবে সমান মর্যাদা এবং অধিকার নিয়ে জন্মগ্রহণ করে।',
  setting: { lineHeight: 1.15, measure: [45, 75], emphasis: 'weight' },
});
