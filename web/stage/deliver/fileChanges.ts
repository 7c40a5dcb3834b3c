import { fileChanges as say } from './words';
import { diffLines } from 'diff';
import type { DeliveryFile } from '@lettera/core/wire';
import { count } from '../../control/figures';

/** How a file of the bundle differs from what it was in an earlier delivery. */
export interface FileChange {
  path: string;
  kind: 'new' | 'gone' | 'changed';
  /** In words: lines of a text, bytes of a font. */
  says: string;
  /** Lines of a text that was changed, with those that stay around them. */
  lines: ChangedLine[];
}
export interface ChangedLine {
  kind: 'added' | 'removed' | 'same' | 'left out';
  text: string;
}

/** Lines that stay and are shown around a change. */
const AROUND = 2;

const linesOf = (text: string): string[] => text.replace(/\n$/, '').split('\n');

/** Lines that stay: those next to a change, and a mark for what lies between. */
function near(lines: string[], isFirst: boolean, isLast: boolean): ChangedLine[] {
  const same = (text: string): ChangedLine => ({ kind: 'same', text });
  const before = isFirst ? [] : lines.slice(0, AROUND);
  const after = isLast ? [] : lines.slice(Math.max(before.length, lines.length - AROUND));
  const left = lines.length - before.length - after.length;
  const gap: ChangedLine[] = left > 0 ? [{ kind: 'left out', text: `${left}` }] : [];
  return [...before.map(same), ...gap, ...after.map(same)];
}

function textChange(before: string, after: string): Pick<FileChange, 'says' | 'lines'> {
  const parts = diffLines(before, after);
  const linesThat = (which: 'added' | 'removed') =>
    parts.reduce((sum, part) => sum + (part[which] ? linesOf(part.value).length : 0), 0);
  return {
    says: say.addedRemoved(count(linesThat('added'), 'line'), linesThat('removed')),
    lines: parts.flatMap((part, i): ChangedLine[] => {
      const lines = linesOf(part.value);
      if (!part.added && !part.removed) return near(lines, i === 0, i === parts.length - 1);
      const kind = part.added ? 'added' : 'removed';
      return lines.map((text) => ({ kind, text }));
    }),
  };
}

const sized = ({ bytes }: DeliveryFile): string => say.bytes(bytes.toLocaleString('en'));

/** What differs between two deliveries, file by file, in the order of the later one. */
export function fileChanges(
  before: readonly DeliveryFile[],
  after: readonly DeliveryFile[],
): FileChange[] {
  const earlier = new Map(before.map((file) => [file.path, file]));
  const later = new Set(after.map(({ path }) => path));
  const changes = after.flatMap((file): FileChange[] => {
    const { path } = file;
    const was = earlier.get(path);
    if (!was) return [{ path, kind: 'new', says: sized(file), lines: [] }];
    if (was.kind === 'text' && file.kind === 'text') {
      return was.content === file.content
        ? []
        : [{ path, kind: 'changed', ...textChange(was.content, file.content) }];
    }
    const isSame =
      was.kind === 'font' &&
      file.kind === 'font' &&
      was.source === file.source &&
      was.cut === file.cut;
    const says = say.fromTo(was.bytes.toLocaleString('en'), sized(file));
    return isSame ? [] : [{ path, kind: 'changed', says, lines: [] }];
  });
  const gone = before
    .filter(({ path }) => !later.has(path))
    .map((file): FileChange => ({ path: file.path, kind: 'gone', says: sized(file), lines: [] }));
  return [...changes, ...gone];
}
