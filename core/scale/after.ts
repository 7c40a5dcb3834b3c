import { applyPatch } from '../document/applyPatch';
import type { Patch } from '../document/patch';
import type { Scale } from '../document/scale';

/** A scale as a change of a document leaves it; the change is one of the scale alone. */
export const scaleAfter = (scale: Scale, patch: Patch): Scale =>
  applyPatch({ scale }, patch).document.scale;
