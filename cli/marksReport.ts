import type { AsideMark, Mark } from '@lettera/core/check';

/** What a check found on a project. */
export interface Judged {
  marks: readonly Mark[];
  aside: readonly AsideMark[];
}

/** How a check may report: for people, for programs, and for tools that gather such findings. */
export const REPORT_FORMATS = ['text', 'json', 'sarif'] as const;
export type ReportFormat = (typeof REPORT_FORMATS)[number];

const counted = (of: number, what: string): string => `${of} ${what}${of === 1 ? '' : 's'}`;

function asText(name: string, { marks, aside }: Judged): string {
  const lines = marks.flatMap(({ message, remedy }) => [`- ${message}`, `  ${remedy}`]);
  const left = aside.length > 0 ? `, ${aside.length} set aside` : '';
  return [...lines, `${name}: ${counted(marks.length, 'mark')}${left}`].join('\n');
}

const told = ({ fix: _fix, ...mark }: Mark) => mark;

const asJson = (name: string, revision: number, { marks, aside }: Judged): string =>
  JSON.stringify(
    { project: name, revision, marks: marks.map(told), aside: aside.map(told) },
    null,
    2,
  );

/** Where in the project a mark is, by the path of what it is about. */
const placeOf = ({ style, family, stage }: Mark): string => {
  if (style) return `styles/${style}`;
  return family ? `case/${family}` : stage;
};

/** Static Analysis Results Interchange Format 2.1.0. Places are logical ones: a project is no file. */
function asSarif(name: string, { marks, aside }: Judged): string {
  const rules = [...new Set([...marks, ...aside].map(({ rule }) => rule))].sort();
  const result = (mark: Mark) => ({
    ruleId: mark.rule,
    level: 'warning',
    message: { text: `${mark.message} ${mark.remedy}` },
    locations: [{ logicalLocations: [{ fullyQualifiedName: `${name}/${placeOf(mark)}` }] }],
  });
  return JSON.stringify(
    {
      version: '2.1.0',
      $schema:
        'https://docs.oasis-open.org/sarif/sarif/v2.1.0/errata01/os/schemas/sarif-schema-2.1.0.json',
      runs: [
        {
          tool: { driver: { name: 'Lettera', rules: rules.map((id) => ({ id })) } },
          results: [
            ...marks.map(result),
            ...aside.map((mark) => ({
              ...result(mark),
              suppressions: [{ kind: 'external', justification: mark.reason }],
            })),
          ],
        },
      ],
    },
    null,
    2,
  );
}

/** What a check found, as it is written out. */
export function marksReport(
  format: ReportFormat,
  { name, revision }: { name: string; revision: number },
  judged: Judged,
): string {
  switch (format) {
    case 'text':
      return asText(name, judged);
    case 'json':
      return asJson(name, revision, judged);
    case 'sarif':
      return asSarif(name, judged);
  }
}
