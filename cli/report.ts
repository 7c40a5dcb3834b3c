import type { Finding, Findings, FoundAt } from './findings';

/** How a command may report: for people, for programs, and for tools that gather such findings. */
export const REPORT_FORMATS = ['text', 'json', 'sarif', 'junit'] as const;
export type ReportFormat = (typeof REPORT_FORMATS)[number];

/** `1 text`, `2 texts`. */
export const counted = (of: number, what: string): string => `${of} ${what}${of === 1 ? '' : 's'}`;

/** Of many places as many are written out. */
const MOST_PLACES = 5;

/** A place in a line: `The log: “Fog from the west”, by main h2 in css/site.css, line 12, font-size: 30px`. */
function placeInWords(at: FoundAt): string {
  const { page, words, selector, sheet, line, styleElement, says, part } = at;
  const by = [
    ...(selector ? [`by ${selector}`] : []),
    ...(sheet
      ? [`in ${sheet}${styleElement ? `, style element ${styleElement}` : ''}, line ${line ?? 0}`]
      : []),
  ].join(' ');
  return [[page, words ? `“${words}”` : ''].filter(Boolean).join(': '), by, says ?? '', part ?? '']
    .filter(Boolean)
    .join(', ');
}

function placesInWords(at: readonly FoundAt[]): string[] {
  const lines = at.slice(0, MOST_PLACES).map(placeInWords).filter(Boolean);
  return at.length > MOST_PLACES ? [...lines, `and ${at.length - MOST_PLACES} more`] : lines;
}

const isOpen = ({ aside, known }: Finding): boolean => aside === undefined && !known;

function asText({ findings, sum, gone }: Findings): string {
  const lines = findings
    .filter(isOpen)
    .flatMap(({ severity, message, remedy, at }) => [
      `- ${severity === 'warning' ? '' : `${severity}: `}${message}`,
      ...(remedy ? [`  ${remedy}`] : []),
      ...placesInWords(at.filter(({ part }) => part === undefined)).map((place) => `  ${place}`),
    ]);
  const known = findings.filter((one) => one.known).length;
  const left = [
    ...(known > 0 ? [`${known} known by the baseline`] : []),
    ...(gone ? [`${gone} of the baseline ${gone === 1 ? 'is' : 'are'} there no more`] : []),
  ];
  return [...lines, [sum, ...left].join(', ')].join('\n');
}

const asJson = ({ name, findings, more, gone }: Findings): string =>
  JSON.stringify(
    { project: name, ...more, findings, ...(gone === undefined ? {} : { gone }) },
    null,
    2,
  );

/**
 * Static Analysis Results Interchange Format 2.1.0. What is set by a rule of a sheet is in that file (§3.29); what is
 * of the project alone has a logical place (§3.33).
 */
function asSarif({ name, findings }: Findings): string {
  const rules = [...new Set(findings.map(({ rule }) => rule))].sort();
  const location = ({ page, selector, sheet, line, styleElement, part }: FoundAt) => ({
    ...(sheet
      ? {
          physicalLocation: {
            artifactLocation: { uri: encodeURI(sheet) },
            ...(styleElement ? {} : { region: { startLine: Math.max(line ?? 1, 1) } }),
          },
        }
      : {}),
    logicalLocations: [
      { fullyQualifiedName: [name, part ?? page, selector].filter(Boolean).join('/') },
    ],
  });
  return JSON.stringify(
    {
      version: '2.1.0',
      $schema:
        'https://docs.oasis-open.org/sarif/sarif/v2.1.0/errata01/os/schemas/sarif-schema-2.1.0.json',
      runs: [
        {
          tool: { driver: { name: 'Lettera', rules: rules.map((id) => ({ id })) } },
          results: findings.map(({ rule, severity, message, remedy, at, aside, known, key }) => ({
            ruleId: rule,
            level: severity,
            message: { text: [message, remedy].filter(Boolean).join(' ') },
            locations: at.map(location),
            partialFingerprints: { 'lettera/v1': key },
            ...(known === undefined ? {} : { baselineState: 'unchanged' }),
            ...(aside === undefined
              ? {}
              : { suppressions: [{ kind: 'external', justification: aside }] }),
          })),
        },
      ],
    },
    null,
    2,
  );
}

const xml = (text: string): string =>
  text
    // Control characters are in no XML at all. XML 1.0 §2.2.
    .replace(/[^\P{Cc}\t\n\r]|[\ufffe\uffff]/gu, '')
    .replace(/[&<>"']/g, (one) => `&#${one.charCodeAt(0)};`);

/** The XML that test runners write: a case a finding, one that is known or set aside skipped. */
function asJunit({ name, findings, sum }: Findings): string {
  const failing = findings.filter(isOpen);
  const cases = findings.map((one) => {
    const { rule, severity, message, remedy, at, aside } = one;
    const text = [remedy, ...placesInWords(at)].filter(Boolean).join('\n');
    const inside = isOpen(one)
      ? `<failure type="${severity}" message="${xml(message)}">${xml(text)}</failure>`
      : `<skipped message="${xml(aside ?? 'known by the baseline')}"/>`;
    return `    <testcase classname="${xml(rule)}" name="${xml(message)}">${inside}</testcase>`;
  });
  const passed = `    <testcase classname="lettera" name="${xml(sum)}"/>`;
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    '<testsuites>',
    `  <testsuite name="${xml(name)}" tests="${findings.length + 1}" failures="${failing.length}" skipped="${findings.length - failing.length}">`,
    ...cases,
    passed,
    '  </testsuite>',
    '</testsuites>',
  ].join('\n');
}

const WRITERS: Readonly<Record<ReportFormat, (found: Findings) => string>> = {
  text: asText,
  json: asJson,
  sarif: asSarif,
  junit: asJunit,
};

/** What a command found, as it is written out. */
export const report = (format: ReportFormat, found: Findings): string => WRITERS[format](found);
