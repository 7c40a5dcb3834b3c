import { onceFor } from '../document/once';
import { pairSeatsOf } from '../document/pairVoices';
import type { ProjectDocument } from '../document/projectDocument';
import { BODY_STYLE } from '../document/vocabulary';
import { resolveInUse } from './resolve';
import { stylesInUse } from './usage';

/** A style that sets a voice beside those that are paired, and the styles in use that have it from there. */
export interface OwnVoice {
  style: string;
  /** Keys of the voice and of its family, as far as it has one. */
  voice: string;
  family: string | null;
  /** Styles in use that show in it, its own among them. */
  reaches: string[];
}

/**
 * Styles that another family in a voice of the pair does not reach: they set a voice of their own. Code is
 * none, since it is set in a monospace for a reason.
 */
export const ownVoices = onceFor((document: ProjectDocument): OwnVoice[] => {
  const seats = pairSeatsOf(document);
  const paired = seats ? [seats.heading, seats.subheading, seats.text] : [];
  return Object.entries(document.styles).flatMap(([style, { set }]): OwnVoice[] => {
    const voice = set.voice;
    const seat = document.voices[voice ?? ''];
    if (!voice || !seat || style === BODY_STYLE || paired.includes(voice)) return [];
    if (seat.generic === 'monospace') return [];
    const reaches = stylesInUse(document).filter((one) => {
      const resolved = resolveInUse(document, one).voice;
      return resolved.value === voice && resolved.source === style;
    });
    return [{ style, voice, family: seat.family, reaches }];
  });
});
