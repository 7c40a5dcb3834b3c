import { siteName } from '../document/familyName';
import { platformsDisagree } from '../font/lineMetrics';
import { pinPatch } from '../fallback/pinLine';
import { familiesInUse } from '../style/usage';
import type { Mark, Rule } from './mark';

/** A web face whose line metrics differ between platforms: text sits higher or lower from one to another. */
export const floatingLine: Rule = (document, { lines = {} }) =>
  familiesInUse(document).flatMap((key): Mark[] => {
    const family = document.case[key];
    if (!family || family.source === 'reference') return [];
    const floats = family.faces.some((face) => {
      const reading = lines[face.files[0]?.sha256 ?? ''];
      return !face.pinned && reading && platformsDisagree(reading, reading.unitsPerEm);
    });
    const patch = floats ? pinPatch(document, key, lines) : null;
    return patch
      ? [
          {
            rule: 'floating-line',
            stage: 'fallbacks',
            family: key,
            message: `${siteName(family)}: text sits higher or lower from one platform to another, by more than 1 % of the em. The file gives them different line metrics.`,
            remedy: 'Pin its line: it is delivered with metrics of its own.',
            fix: { does: 'Pin its line', patch },
          },
        ]
      : [];
  });
