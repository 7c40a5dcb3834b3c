/** How much a finding weighs: what visitors see go wrong; what is doubtful; what concerns whoever keeps the project. */
export const SEVERITIES = ['error', 'warning', 'note'] as const;
export type Severity = (typeof SEVERITIES)[number];

/** Rules about what visitors cannot read or do not get, or what may not be delivered. */
export const ERROR_RULES: ReadonlySet<string> = new Set([
  'embedding',
  'face-without-case',
  'faked-bold',
  'faked-bold-script',
  'faked-italic',
  'faked-italic-script',
  'joined-apart',
  'language-letters',
  'language-script',
  'low-contrast',
  'marked-letters',
  'outgrown-files',
  'page-letters',
  'painted-contrast',
  'uncovered-letters',
  'wrong-direction',
  'zoom',
]);

/** Rules about the keeping of a project: a site is no worse for it. */
export const NOTE_RULES: ReadonlySet<string> = new Set([
  'lone-line',
  'many-families',
  'same-name',
  'same-style',
  'shared-place',
  'stray-property',
  'unused-face',
  'unused-family',
  'unworn-style',
  'vague-generic',
]);

/** How much a mark weighs, by the rule that made it. */
export function severityOf(rule: string): Severity {
  if (ERROR_RULES.has(rule)) return 'error';
  return NOTE_RULES.has(rule) ? 'note' : 'warning';
}
