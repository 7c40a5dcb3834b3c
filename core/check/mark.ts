import type { ProjectDocument } from '../document/projectDocument';
import type { FaceReading } from '../font/reading';

/** A remark on something wrong or doubtful, with its evidence and where it is put right. */
export interface Mark {
  /** The rule that made it. */
  rule: string;
  /** The stage in which it is put right. */
  stage: 'faces' | 'pair' | 'scale' | 'fallbacks' | 'styles' | 'deliver';
  /** What will be seen on the site, then why. */
  message: string;
  /** What to do about it. */
  remedy: string;
  /** Key of the style it is about, when it is about one. */
  style?: string;
  /** Key of the family it is about, when it is about one. */
  family?: string;
}

/** What rules need of the readings of the case's files, by hash. */
export type Readings = Readonly<Record<string, Pick<FaceReading, 'fullName' | 'fsType'>>>;

export type Rule = (document: ProjectDocument, readings: Readings) => Mark[];
