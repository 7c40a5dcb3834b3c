import { Type } from '@sinclair/typebox';
import type { TunedFace } from '../fallback';
import type { FaceReading } from '../font';
import type { FamilyMeasures } from '../measure';
import { byKey, core, integer, list, nullable, oneOf, text } from './shape';
import { Reading } from './readings';

/** Long work and what comes of it, as it goes over the wire. */

export const ProgressReport = Type.Object({
  task: oneOf(['measuring', 'taking', 'reading', 'packing', 'fitting']),
  done: integer(),
  of: integer(),
});

export const LibraryProgress = Type.Object({
  state: oneOf(['idle', 'measuring', 'stopped', 'done', 'failed']),
  done: integer(),
  of: integer(),
  families: list(
    Type.Object({ id: text(), measures: nullable(core<FamilyMeasures>('FamilyMeasures')) }),
  ),
});

const refused = Type.Object({
  file: text(),
  refused: Type.Object({ reason: text(), detail: text() }),
});

/** What became of one file of an upload. */
export const TakenFile = Type.Union([
  Type.Unsafe<{ file: string; conflicts: string[] } & FaceReading>(
    Type.Object({
      file: text(),
      conflicts: list(text(), 'Full names of faces that claim the same place'),
      ...Reading.properties,
    }),
  ),
  refused,
]);

const delivered = { path: text(), purpose: text(), bytes: integer() };

/** A file of the bundle. */
export const DeliveryFile = Type.Union([
  Type.Object({ ...delivered, kind: oneOf(['text']), content: text() }),
  Type.Object({
    ...delivered,
    kind: oneOf(['font']),
    source: text('SHA-256 of the file that it is made from'),
    cut: nullable(text('What is done to that; null when nothing is')),
  }),
]);

export const DeliveryEvidence = Type.Object({
  made: byKey(integer(), 'Bytes of the files made so far, by source and cut'),
  copy: text('Every character of the pages, each once'),
  within: byKey(
    text(),
    'Letters of scripts of many, by where they stand: keys of text elements, the innermost first, as emphasis>lead>body',
  ),
  languages: list(text(), 'Languages that the pages say they are in, BCP 47'),
  together: byKey(
    list(list(integer('A code point'))),
    'Letters of its languages with scripts of many, in groups, by tag',
  ),
  failed: byKey(text(), 'Why others could not be made'),
});

export const Trials = byKey(
  list(
    Type.Object({
      local: text('Key of a set of local fonts'),
      source: oneOf(['twin', 'measured']),
      faces: list(core<TunedFace>('TunedFace')),
    }),
  ),
  'By voice and family, as text/literata; in order of fit × reach',
);

export const TwinScripts = byKey(list(Type.Object({ script: text(), unicodeRange: text() })));
