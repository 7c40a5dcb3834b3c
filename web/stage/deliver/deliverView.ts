import { deliverView as say } from './words';
import { marksOf, type Mark, type Readings } from '@lettera/core/check';
import { FONT_DISPLAYS, type ProjectDocument } from '@lettera/core/document';
import type { DeliveryFile, ProgressReport } from '@lettera/core/wire';

/** What visitors see while fonts load, a line each. */
export const DISPLAYS = FONT_DISPLAYS.map((value) => ({
  value,
  label: {
    swap: say.swapWebFaceWhenever,
    fallback: say.fallbackOnlyWithinSeconds,
    optional: say.optionalOnlyIfThere,
  }[value],
}));

/** Marks on files that say they may not be delivered. */
export const forbiddenFiles = (document: ProjectDocument, readings: Readings): Mark[] =>
  marksOf(document, { readings }).filter(({ rule }) => rule === 'embedding');

/** Bytes of all the files of the bundle. */
export const bytesOf = (files: readonly DeliveryFile[]): number =>
  files.reduce((sum, { bytes }) => sum + bytes, 0);

/** How far work has come, while it is under way; null otherwise. */
export const underWay = (report: ProgressReport | undefined): ProgressReport | null =>
  report && report.done < report.of ? report : null;
