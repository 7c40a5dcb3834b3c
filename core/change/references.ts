import type { FieldError } from '../document/fieldError';
import { occasionOf } from '../document/occasion';
import { languageOfPlace, placesOf, takenAt, valuesOf } from '../document/styleValues';
import { onceFor } from '../document/once';
import type { ProjectDocument, TextStyle } from '../document/projectDocument';
import { PROPERTIES, type PropertyName } from '../document/property';
import { scriptOf } from '../script';
import { BODY_STYLE, GROUND, INK } from '../document/vocabulary';
import { stepNumbers } from '../scale/steps';
import { scaleErrors } from './scaleErrors';

type Refuse = (path: string, message: string) => void;

/** What must go together in a document whose values are each within their bounds. */
interface Rule {
  /** Parts of the document that it depends on. */
  reads: readonly (keyof ProjectDocument)[];
  check(document: ProjectDocument, refuse: Refuse): void;
}

const has = (parts: object, key: string): boolean => Object.hasOwn(parts, key);

/** Keys from which following what each names comes round to a key passed before. */
function circling(
  keys: readonly string[],
  next: (key: string) => string | null | undefined,
): string[] {
  /** Keys from which the way ends; and those from which it does not. */
  const ends = new Map<string, boolean>();
  for (const start of keys) {
    const way: string[] = [];
    let key: string | null | undefined = start;
    while (key && !ends.has(key) && !way.includes(key)) {
      way.push(key);
      key = next(key);
    }
    const ended = !key || ends.get(key) === true;
    for (const passed of way) ends.set(passed, ended);
  }
  return keys.filter((key) => ends.get(key) === false);
}

const kept: Rule = {
  reads: ['colours', 'styles', 'voices'],
  check({ colours, styles, voices }, refuse) {
    for (const key of [INK, GROUND]) {
      if (!has(colours, key)) refuse('/colours', `must keep the colour “${key}”`);
    }
    if (!has(styles, BODY_STYLE)) refuse('/styles', `must keep the style “${BODY_STYLE}”`);
    if (Object.keys(voices).length === 0) refuse('/voices', 'must keep at least one voice');
  },
};

const seats: Rule = {
  reads: ['voices', 'case'],
  check({ voices, case: families }, refuse) {
    for (const [key, { family, scripts = {} }] of Object.entries(voices)) {
      if (family !== null && family !== undefined && !has(families, family)) {
        refuse(`/voices/${key}/family`, `names “${family}”, which is not in the case`);
      }
      for (const [script, seat] of Object.entries(scripts)) {
        const path = `/voices/${key}/scripts/${script}`;
        if (!scriptOf(script)) refuse(path, 'is no script that a voice can have a family for');
        if (!has(families, seat.family)) {
          refuse(`${path}/family`, `names “${seat.family}”, which is not in the case`);
        }
      }
    }
  },
};

const paired: Rule = {
  reads: ['pair', 'voices'],
  check({ pair, voices }, refuse) {
    if (!pair) return;
    const entries = Object.entries(pair);
    for (const [part, voice] of entries) {
      if (!has(voices, voice)) {
        refuse(`/pair/${part}`, `names the voice “${voice}”, which is not there`);
      }
    }
    if (new Set(entries.map(([, voice]) => voice)).size < entries.length) {
      refuse('/pair', 'must name a voice of its own for each part');
    }
  },
};

const families: Rule = {
  reads: ['case'],
  check(document, refuse) {
    for (const [key, family] of Object.entries(document.case)) {
      if ((family.source === 'reference') !== (family.reference !== undefined)) {
        refuse(
          `/case/${key}/reference`,
          'must be there for a family by reference, and only for one',
        );
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
  },
};

const scale: Rule = {
  reads: ['scale'],
  check(document, refuse) {
    for (const { path, message } of scaleErrors(document.scale)) refuse(path, message);
  },
};

const NAMED = { voices: 'voice', colours: 'colour' } as const;

/** What a style names: a voice, a colour, or a step of the scale. */
interface Naming {
  /** Where in the style. */
  path: string;
  of: 'voices' | 'colours' | 'steps';
  value: string | number;
}

/** All that a style names; the same for as long as the style is. */
const namedBy = onceFor((style: TextStyle): readonly Naming[] =>
  placesOf(style).flatMap((where) =>
    Object.entries(valuesOf(style, where)).flatMap(([name, value]): Naming[] => {
      const { values } = PROPERTIES[name as PropertyName];
      const path = `${where}/${name}`;
      if (values.kind === 'key') return [{ path, of: values.of, value: String(value) }];
      if (values.kind === 'step') return [{ path, of: 'steps', value: Number(value) }];
      return [];
    }),
  ),
);

const styleValues: Rule = {
  reads: ['styles', 'voices', 'colours', 'scale'],
  check(document, refuse) {
    const { scale: steps } = document;
    const numbers = new Set(stepNumbers(steps));
    for (const [key, style] of Object.entries(document.styles)) {
      for (const { path, of, value } of namedBy(style)) {
        const at = `/styles/${key}/${path}`;
        if (of === 'steps') {
          if (!numbers.has(Number(value))) {
            refuse(
              at,
              `is step ${value}, which the scale does not have: it runs from ${-steps.down} to ${steps.up}`,
            );
          }
        } else if (!has(document[of], String(value))) {
          refuse(at, `names the ${NAMED[of]} “${value}”, which is not there`);
        }
      }
    }
  },
};

const following: Rule = {
  reads: ['styles'],
  check({ styles }, refuse) {
    const circle = circling(Object.keys(styles), (key) => styles[key]?.follows);
    for (const [key, { follows }] of Object.entries(styles)) {
      if (follows && !has(styles, follows)) {
        refuse(`/styles/${key}/follows`, `names the style “${follows}”, which is not there`);
      }
    }
    for (const key of circle) {
      refuse(`/styles/${key}/follows`, 'follows itself, through one style or several');
    }
  },
};

const standing: Rule = {
  reads: ['elements', 'styles'],
  check({ elements, styles }, refuse) {
    for (const [key, { style, parent }] of Object.entries(elements)) {
      if (!has(styles, style)) {
        refuse(`/elements/${key}/style`, `names the style “${style}”, which is not there`);
      }
      if (parent && !has(elements, parent)) {
        refuse(`/elements/${key}/parent`, `names “${parent}”, which is not there`);
      }
    }
    for (const key of circling(Object.keys(elements), (name) => elements[name]?.parent)) {
      refuse(`/elements/${key}/parent`, 'stands in itself, through one element or several');
    }
  },
};

const widths: Rule = {
  reads: ['widths', 'languages'],
  check({ widths: all = {}, languages }, refuse) {
    for (const [key, { from, below, container, scale: own }] of Object.entries(all)) {
      if (occasionOf(key) || languageOfPlace({ languages }, key) !== null) {
        refuse(`/widths/${key}`, 'has the name of an occasion, or of a language');
      }
      if (from === undefined && below === undefined) {
        refuse(`/widths/${key}`, 'must begin or end at a width');
      }
      if (container !== undefined && own) {
        refuse(
          `/widths/${key}/scale`,
          'is for widths of the page: in a container, sizes follow it',
        );
      }
      if (from !== undefined && below !== undefined && from >= below) {
        refuse(`/widths/${key}/below`, 'must be more than where it begins');
      }
    }
  },
};

const differing: Rule = {
  reads: ['styles', 'widths', 'languages'],
  check({ styles, widths: known = {}, languages }, refuse) {
    for (const [style, { at }] of Object.entries(styles)) {
      for (const [key, values] of Object.entries(at ?? {})) {
        const path = `/styles/${style}/at/${key}`;
        const name = occasionOf(key);
        if (!name && !has(known, key) && languageOfPlace({ languages }, key) === null) {
          refuse(path, `names the width or language “${key}”, which is not there`);
        }
        for (const property of Object.keys(values) as PropertyName[]) {
          if (takenAt({ languages }, key, property)) continue;
          refuse(
            `${path}/${property}`,
            `is nothing that browsers take there: ${PROPERTIES[property].label.toLowerCase()}, ${name?.label ?? key}`,
          );
        }
      }
    }
  },
};

const RULES: readonly Rule[] = [
  kept,
  scale,
  seats,
  paired,
  families,
  following,
  styleValues,
  widths,
  differing,
  standing,
];

/**
 * References between the parts of a well-formed document that lead nowhere or in a circle.
 * @param before what does not read a part that has changed since is not checked again
 */
export function referenceErrors(document: ProjectDocument, before?: ProjectDocument): FieldError[] {
  const errors: FieldError[] = [];
  for (const { reads, check } of RULES) {
    if (before && reads.every((part) => document[part] === before[part])) continue;
    check(document, (path, message) => errors.push({ path, message }));
  }
  return errors;
}
