import type { AsideMark, Mark } from '@lettera/core/check';
import { severityOf } from '@lettera/core/check';
import type { Finding, Findings } from './findings';
import { counted } from './report';

/** What a check found on a project. */
export interface Judged {
  marks: readonly Mark[];
  aside: readonly AsideMark[];
}

/** Where in the project a mark is, by the path of what it is about. */
const partOf = ({ style, family, stage }: Mark): string => {
  if (style) return `styles/${style}`;
  return family ? `case/${family}` : stage;
};

const finding = (mark: Mark): Finding => ({
  rule: mark.rule,
  severity: severityOf(mark.rule),
  message: mark.message,
  remedy: mark.remedy,
  at: [{ part: partOf(mark) }],
  key: [mark.rule, partOf(mark), mark.voice ?? '', mark.subject ?? ''].join('|'),
});

/** Marks as findings. */
export function markFindings(
  { name, revision }: { name: string; revision: number },
  { marks, aside }: Judged,
): Findings {
  const left = aside.length > 0 ? `, ${aside.length} set aside` : '';
  return {
    name,
    findings: [
      ...marks.map(finding),
      ...aside.map((mark) => ({ ...finding(mark), aside: mark.reason })),
    ],
    sum: `${name}: ${counted(marks.length, 'mark')}${left}`,
    more: { revision },
  };
}
