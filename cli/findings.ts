import { SEVERITIES, type Severity } from '@lettera/core/check';

/** Where something is found on a site or in a project. */
export interface FoundAt {
  /** Title of the page; left out where it is in no page. */
  page?: string;
  /** How the text begins. */
  words?: string;
  /** What sets it there: the rule’s selector, the path of its sheet and the line in that, and what it says. */
  selector?: string;
  sheet?: string;
  line?: number;
  /** Of a rule in the page itself, which of its style elements it is in, from 1; the line is that within it. */
  styleElement?: number;
  says?: string;
  /** Where in the project, by names: `styles/lead`. */
  part?: string;
}

/** One thing that a command found. */
export interface Finding {
  rule: string;
  severity: Severity;
  /** What is seen, in the words of the interface. */
  message: string;
  /** What to do about it; empty where that is told by the message. */
  remedy: string;
  at: readonly FoundAt[];
  /** Why it was set aside; left out where it was not. */
  aside?: string;
  /** What tells it from others, the next time too. */
  key: string;
  /** Whether it stands in the baseline. */
  known?: boolean;
}

/** What a command found, and what is told beside it. */
export interface Findings {
  /** What was looked at: the project’s name. */
  name: string;
  findings: readonly Finding[];
  /** How it came out, in a line. */
  sum: string;
  /** What programs are told besides. */
  more: Readonly<Record<string, unknown>>;
  /** How many in the baseline are there no more. */
  gone?: number;
}

/** From which severity on a command ends as one that found something. */
export const FAIL_ON = [...SEVERITIES, 'never'] as const;
export type FailOn = (typeof FAIL_ON)[number];

/** Whether what was found makes a command end with 1: what is set aside or in the baseline does not. */
export function fails({ findings }: Pick<Findings, 'findings'>, failOn: FailOn): boolean {
  if (failOn === 'never') return false;
  const least = SEVERITIES.indexOf(failOn);
  return findings.some(
    ({ severity, aside, known }) =>
      aside === undefined && !known && SEVERITIES.indexOf(severity) <= least,
  );
}
