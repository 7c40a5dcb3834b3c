import type { ProjectDocument } from './projectDocument';
import type { FieldError } from './validate';
import { scaleErrors } from './scaleErrors';
import { stepNumbers } from '../scale/steps';

/** Colours that every project has: the text's and its ground. */
export const INK = 'ink';
export const GROUND = 'ground';
/** Style of the body, which everything follows in the end. */
export const BODY_STYLE = 'body';

const has = (parts: object, key: string): boolean => Object.hasOwn(parts, key);

/** The chain from a part through what it names, or null when it comes round to itself. */
function chain(start: string, next: (key: string) => string | null | undefined): string[] | null {
  const seen: string[] = [];
  for (let key: string | null | undefined = start; key; key = next(key)) {
    if (seen.includes(key)) return null;
    seen.push(key);
  }
  return seen;
}

/** References between the parts of a well-formed document that lead nowhere or in a circle. */
export function referenceErrors(document: ProjectDocument): FieldError[] {
  const { scale, styles, voices, elements, colours, case: families } = document;
  const errors: FieldError[] = [];
  const refuse = (path: string, message: string) => errors.push({ path, message });

  for (const key of [INK, GROUND]) {
    if (!has(colours, key)) refuse('/colours', `must keep the colour “${key}”`);
  }
  if (!has(styles, BODY_STYLE)) refuse('/styles', `must keep the style “${BODY_STYLE}”`);
  if (Object.keys(voices).length === 0) refuse('/voices', 'must keep at least one voice');

  errors.push(...scaleErrors(scale));
  const numbers = stepNumbers(scale);
  for (const [key, voice] of Object.entries(voices)) {
    if (voice.family !== null && voice.family !== undefined && !has(families, voice.family)) {
      refuse(`/voices/${key}/family`, `names “${voice.family}”, which is not in the case`);
    }
  }
  for (const [key, family] of Object.entries(families)) {
    if ((family.source === 'reference') !== (family.reference !== undefined)) {
      refuse(`/case/${key}/reference`, 'must be there for a family by reference, and only for one');
    }
    family.faces.forEach((face, i) => {
      if ((face.widthMin ?? 100) > (face.widthMax ?? 100)) {
        refuse(`/case/${key}/faces/${i}/widthMin`, 'must not be more than widthMax');
      }
      if (face.weightMin > face.weightMax) {
        refuse(`/case/${key}/faces/${i}/weightMin`, 'must not be more than weightMax');
      }
    });
  }
  for (const [key, style] of Object.entries(styles)) {
    const { voice, colour, step } = style.set;
    if (style.follows && !has(styles, style.follows)) {
      refuse(`/styles/${key}/follows`, `names the style “${style.follows}”, which is not there`);
    } else if (!chain(key, (name) => styles[name]?.follows)) {
      refuse(`/styles/${key}/follows`, 'follows itself, through one style or several');
    }
    if (voice !== undefined && !has(voices, voice)) {
      refuse(`/styles/${key}/set/voice`, `names the voice “${voice}”, which is not there`);
    }
    if (colour !== undefined && !has(colours, colour)) {
      refuse(`/styles/${key}/set/colour`, `names the colour “${colour}”, which is not there`);
    }
    if (step !== undefined && !numbers.includes(step)) {
      refuse(
        `/styles/${key}/set/step`,
        `is step ${step}, which the scale does not have: it runs from ${-scale.down} to ${scale.up}`,
      );
    }
  }
  for (const [key, element] of Object.entries(elements)) {
    if (!has(styles, element.style)) {
      refuse(`/elements/${key}/style`, `names the style “${element.style}”, which is not there`);
    }
    if (element.parent && !has(elements, element.parent)) {
      refuse(`/elements/${key}/parent`, `names “${element.parent}”, which is not there`);
    } else if (!chain(key, (name) => elements[name]?.parent)) {
      refuse(`/elements/${key}/parent`, 'stands in itself, through one element or several');
    }
  }
  return errors;
}
