import { fileURLToPath } from 'node:url';

/** A folder of the sample's files: beside its sources, or beside the folder that a built program stands in. */
export const sampleFolder = (name: string): string =>
  fileURLToPath(
    new URL(import.meta.url.endsWith('.ts') ? name : `../sample/${name}`, import.meta.url),
  );
