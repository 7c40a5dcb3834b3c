import { fontRows as say } from './words';
import type { DeliveryPlan, PlannedFile } from '@lettera/core/deliver';
import { siteName, type ProjectDocument } from '@lettera/core/document';
import { voiceUses } from '@lettera/core/style';

/** What font files can be counted by. */
export const GROUPINGS = [
  { value: 'file', label: say.file },
  { value: 'face', label: say.face },
  { value: 'script', label: say.script },
  { value: 'voice', label: say.what },
] as const;
export type Grouping = (typeof GROUPINGS)[number]['value'];

const weightsOf = ({ face: { weightMin, weightMax } }: PlannedFile): string =>
  weightMin === weightMax ? `${weightMin}` : say.weightRange(weightMin, weightMax);

const faceName = (file: PlannedFile): string =>
  `${siteName(file.family)} ${weightsOf(file)}${file.face.style === 'italic' ? ' italic' : ''}`;

/** The voices in use that a family is seated in, as a sentence has them. */
function voicesOf(document: ProjectDocument, familyKey: string): string {
  const names = [...voiceUses(document).keys()]
    .filter((voice) => document.voices[voice]?.family === familyKey)
    .map((voice) => document.voices[voice]?.name ?? voice);
  return names.join(' and ') || say.nothing;
}

function nameIn(document: ProjectDocument, file: PlannedFile, by: Grouping): string {
  switch (by) {
    case 'file':
      return `${faceName(file)}, ${file.file.script}`;
    case 'face':
      return faceName(file);
    case 'script':
      return file.file.script;
    case 'voice':
      return voicesOf(document, file.familyKey);
  }
}

/** Bytes of the files of one kind; null while one of them is being made. */
export interface ByteGroup {
  name: string;
  bytes: number | null;
}

/** The files of a plan added up by one of their kinds, in the order in which they come. */
export function byteGroups(
  document: ProjectDocument,
  { files }: Pick<DeliveryPlan, 'files'>,
  by: Grouping,
): ByteGroup[] {
  const groups = new Map<string, number | null>();
  for (const file of files) {
    const name = nameIn(document, file, by);
    const sum = groups.has(name) ? (groups.get(name) ?? null) : 0;
    groups.set(name, sum === null || file.bytes === null ? null : sum + file.bytes);
  }
  return [...groups].map(([name, bytes]) => ({ name, bytes }));
}

const WHY_LEFT_OUT: Readonly<Record<DeliveryPlan['leftOut'][number]['why'], string>> = {
  'unused-face': say.noTextElementAsks,
  'no-characters': say.noCharacterNeeded,
  'held-by-others': say.otherFilesFaceAll,
};

/** Files that are left out, gathered by why: what they are, a line each. */
export function leftOutLines({ leftOut }: Pick<DeliveryPlan, 'leftOut'>): string[] {
  return leftOut.map(({ family, face, file, why }) => {
    const { weightMin, weightMax, style } = face;
    const weights =
      weightMin === weightMax ? `${weightMin}` : say.toWeightMin(weightMin, weightMax);
    const name = `${siteName(family)} ${weights}${style === 'italic' ? ' italic' : ''}, ${file.script}`;
    return `${name}: ${WHY_LEFT_OUT[why]}`;
  });
}
