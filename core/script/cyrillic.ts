import { AS_LATIN, script } from './script';

export const cyrillic = script({
  key: 'cyrillic',
  name: 'Cyrillic',
  iso: ['Cyrl'],
  has: /\p{Script=Cyrillic}/u,
  capitals: true,
  body: { of: 'top', letters: ['х', 'н', 'и'], called: 'x-height', againstX: 1 },
  reaches: 'ЙЁўруц',
  stroke: 'о',
  sentence: 'Все люди рождаются свободными и равными в своем достоинстве и правах.',
  setting: AS_LATIN,
});
