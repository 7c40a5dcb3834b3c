import { script } from './script';

export const tamil = script({
  key: 'tamil',
  name: 'Tamil',
  iso: ['Taml'],
  has: /\p{Script_Extensions=Tamil}|[\u200c\u200d]/u,
  body: { of: 'top', letters: ['ப', 'ம', 'ட'], called: 'letter height', againstX: 1.04 },
  reaches: 'கீணிநூஞூ',
  stroke: 'க',
  sentence:
    'மனிதப் பிறிவியினர் சகலரும் சுதந்திரமாகவே பிறக்கின்றனர்; அவர்கள் மதிப்பிலும், உரிமைகளிலும் சமமானவர்கள்.',
  setting: { lineHeight: 1.1, measure: [35, 60], emphasis: 'weight' },
});
