import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Shaper } from '../../font/file';
import type { Instance } from '../../font';
import { measure, type FaceMeasures } from '../measureFace';

const modules = join(process.cwd(), 'node_modules');

/** Address of a variable family's Latin file. */
export const variable = (id: string, style: 'normal' | 'italic' = 'normal'): string =>
  join(modules, `@fontsource-variable/${id}/files/${id}-latin-wght-${style}.woff2`);

/** Address of a static family's Latin file. */
export const fixed = (id: string, weight = 400, style: 'normal' | 'italic' = 'normal'): string =>
  join(modules, `@fontsource/${id}/files/${id}-latin-${weight}-${style}.woff2`);

export const bytesAt = (path: string): Uint8Array => new Uint8Array(readFileSync(path));

export const opened = (path: string, instance: Instance = {}): Promise<Shaper> =>
  Shaper.open(bytesAt(path), instance);

export const measured = async (path: string, instance: Instance = {}): Promise<FaceMeasures> =>
  measure(await opened(path, instance));
