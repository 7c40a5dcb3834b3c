import jsonPatch from 'fast-json-patch';
import type { Patch } from '../document/change';
import type { Scale } from '../document/scale';

/** A scale as a change of a document leaves it; the change is one of the scale alone. */
export const scaleAfter = (scale: Scale, patch: Patch): Scale =>
  jsonPatch.applyPatch({ scale }, jsonPatch.deepClone(patch) as Patch, false, false).newDocument
    .scale;
