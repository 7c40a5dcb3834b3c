import { onceFor } from '../document/once';
import type { LanguageSetting } from '../document/languageSetting';
import type { ProjectDocument, ScriptSeat, TextStyle, Voice } from '../document/projectDocument';
import { PROPERTIES, type PropertyValues } from '../document/property';
import {
  languageOfPlace,
  languagePlace,
  occasionIn,
  type StyleValues,
} from '../document/styleValues';
import { lengthIn } from '../document/property/written';
import type { Scale } from '../document/scale';
import { scriptOf, scriptOfTag, type Script } from '../script';
import { documentAt } from './documentAt';
import { voiceRequests, type StyleRequest } from './usage';

/** How a language is set, with nothing left open. */
export type WholeSetting = Required<Omit<LanguageSetting, 'quotes' | 'hyphenation'>> &
  Pick<LanguageSetting, 'quotes' | 'hyphenation'>;

/** A language of the site's, and how its text is set. */
export interface SetLanguage {
  tag: string;
  /** As `:lang()` and the document name it. */
  key: string;
  script: Script;
  setting: WholeSetting;
}

const round = (value: number): number => Math.round(value * 1e4) / 1e4;

/** Line height, measure and the rest of a script, against those of the site's first language. */
function bySetting(script: Script, first: Script): WholeSetting {
  const middle = ({ setting: { measure } }: Script) => (measure[0] + measure[1]) / 2;
  return {
    lineHeight: round(script.setting.lineHeight / first.setting.lineHeight),
    size: 1,
    // A measure in ch counts figures: two stand in the place of an ideograph.
    measure: script.large === first.large ? round(middle(script) / middle(first)) : 1,
    spacing: script.joining ? 'none' : 'kept',
    emphasis: script.setting.emphasis,
    justified: 'justify',
    numerals: 'western',
  };
}

/**
 * The languages of a site and how each is set: as the project has it, else as its script wants it beside that of the
 * site's first language, which styles are made for.
 */
export function siteLanguages({
  languages,
  byLanguage = {},
}: Pick<ProjectDocument, 'languages' | 'byLanguage'>): SetLanguage[] {
  const first = scriptOfTag(languages[0] ?? '');
  if (!first) return [];
  return languages.flatMap((tag, i): SetLanguage[] => {
    const script = scriptOfTag(tag);
    if (!script) return [];
    const key = tag.toLowerCase();
    const own = byLanguage[key] ?? {};
    const usual = bySetting(script, first);
    const setting = { ...(i === 0 ? { ...usual, lineHeight: 1, measure: 1 } : usual), ...own };
    // Space between letters that are joined takes words apart: that is not to be had.
    return [
      { tag, key, script, setting: script.joining ? { ...setting, spacing: 'none' } : setting },
    ];
  });
}

/** A weight that stands for italics. */
const EMPHATIC = 700;

/** What a style sets, as it is in a language. */
function valuesIn(values: PropertyValues, { setting, script }: SetLanguage): PropertyValues {
  const changed: PropertyValues = { ...values };
  if (values.lineHeight !== undefined) {
    changed.lineHeight = round(values.lineHeight * setting.lineHeight);
  }
  if (values.letterSpacing !== undefined && setting.spacing === 'none') changed.letterSpacing = 0;
  if (values.case !== undefined && !script.capitals) changed.case = 'none';
  if (values.slant === 'italic' && setting.emphasis !== 'italic') {
    changed.slant = 'normal';
    if (setting.emphasis === 'weight' && values.weight === undefined) changed.weight = EMPHATIC;
  }
  if (values.hyphenation !== undefined && setting.hyphenation) {
    changed.hyphenation = setting.hyphenation;
  }
  if (values.alignment === 'justify') changed.alignment = setting.justified;
  const measure = values.measure && lengthIn(values.measure, PROPERTIES.measure.values);
  if (measure && setting.measure !== 1) {
    changed.measure = measure.lengths
      .map(({ number, unit }) => `${round(number * setting.measure)}${unit}`)
      .join(' ');
  }
  return changed;
}

const entriesOf = <T>(parts: Record<string, T>, change: (part: T) => T): Record<string, T> =>
  Object.fromEntries(Object.entries(parts).map(([key, part]) => [key, change(part)]));

/** A style as it is in a language: as the language has all text, then as the style has it there itself. */
function styleIn(style: TextStyle, language: SetLanguage): TextStyle {
  const { [languagePlace(language.key)]: own, ...at } = style.at ?? {};
  return {
    ...style,
    set: { ...valuesIn(style.set, language), ...own },
    ...(style.narrow ? { narrow: { ...valuesIn(style.narrow, language), ...own } } : {}),
    ...(style.at ? { at: entriesOf(at, (values) => valuesIn(values, language)) } : {}),
  };
}

/** Whether a style has something otherwise in a language by itself. */
const hasOwn = ({ styles }: Pick<ProjectDocument, 'styles'>, { key }: SetLanguage): boolean =>
  Object.values(styles).some(({ at }) => at !== undefined && Object.hasOwn(at, languagePlace(key)));

const times = <T extends object, K extends keyof T>(of: T, keys: readonly K[], by: number): T => ({
  ...of,
  ...Object.fromEntries(
    keys.flatMap((key) => (typeof of[key] === 'number' ? [[key, round(of[key] * by)]] : [])),
  ),
});

/** A scale of which every size is so many times as large. */
const scaleTimes = (scale: Scale, by: number): Scale => ({
  ...times(scale, ['floor', 'ceiling'], by),
  small: times(scale.small, ['base'], by),
  large: times(scale.large, ['base'], by),
  ...(scale.display
    ? {
        display: {
          ...scale.display,
          small: times(scale.display.small, ['base'], by),
          large: times(scale.display.large, ['base'], by),
        },
      }
    : {}),
  overrides: Object.fromEntries(
    Object.entries(scale.overrides).map(([step, sizes]) => [
      step,
      times(sizes, ['small', 'large'], by),
    ]),
  ),
});

/** A voice whose family for a script is asked first: of the ideographs that several scripts share, a language has its own. */
function voiceIn(voice: Voice, { script }: SetLanguage): Voice {
  const { [script.key]: own, ...others } = voice.scripts ?? {};
  const shares = Object.keys(others).some((key) => scriptOf(key)?.large);
  if (!own || !script.large || !shares) return voice;
  const scripts: Record<string, ScriptSeat> = { [script.key]: own, ...others };
  return { ...voice, scripts };
}

/** Whether anything that styles say is something else in a language. */
const changesStyles = ({ setting, script }: SetLanguage): boolean =>
  setting.lineHeight !== 1 ||
  setting.size !== 1 ||
  setting.measure !== 1 ||
  setting.spacing !== 'kept' ||
  setting.emphasis !== 'italic' ||
  setting.justified !== 'justify' ||
  setting.hyphenation !== undefined ||
  !script.capitals;

/** Whether a project is another for text in a language. */
const changesAnything = (document: ProjectDocument, language: SetLanguage): boolean =>
  changesStyles(language) ||
  hasOwn(document, language) ||
  Object.values(document.voices).some((voice) => voiceIn(voice, language) !== voice);

const inLanguage = onceFor((document: ProjectDocument) => {
  const known = new Map<string, ProjectDocument>();
  return (language: SetLanguage): ProjectDocument => {
    const id = JSON.stringify([language.key, language.script.key, language.setting]);
    const before = known.get(id);
    if (before) return before;
    const { setting } = language;
    if (!changesAnything(document, language)) return document;
    const made = {
      ...document,
      voices: entriesOf(document.voices, (voice) => voiceIn(voice, language)),
      styles: entriesOf(document.styles, (style) => styleIn(style, language)),
      ...(setting.size === 1
        ? {}
        : {
            scale: scaleTimes(document.scale, setting.size),
            ...(document.print ? { print: times(document.print, ['base'], setting.size) } : {}),
            ...(document.widths
              ? {
                  widths: entriesOf(document.widths, (width) =>
                    width.scale
                      ? { ...width, scale: times(width.scale, ['base'], setting.size) }
                      : width,
                  ),
                }
              : {}),
          }),
    };
    known.set(id, made);
    return made;
  };
});

/**
 * The project as it is for text in a language: what holds there is what its styles, scale and voices say. The project
 * itself where nothing is another.
 */
export const documentInLanguage = (
  document: ProjectDocument,
  language: SetLanguage,
): ProjectDocument => inLanguage(document)(language);

/** The project as it is where a style's values stand: in one of the site's languages, on an occasion or at a width. */
export function documentThere(document: ProjectDocument, where: StyleValues): ProjectDocument {
  const tag = languageOfPlace(document, occasionIn(where) ?? '');
  const language = siteLanguages(document).find((one) => one.tag === tag);
  return language ? documentInLanguage(document, language) : documentAt(document, where);
}

/** The requests that a voice's family for a script must answer: those of the languages that are written in it. */
export function scriptRequests(
  document: ProjectDocument,
  voice: string,
  { key }: Pick<Script, 'key'>,
): StyleRequest[] {
  const ways = siteLanguages(document)
    .filter(({ script }) => script.key === key)
    .map((language) => documentInLanguage(document, language));
  const requests = (ways.length > 0 ? ways : [document]).flatMap((at) => voiceRequests(at, voice));
  const id = ({ weight, slant }: StyleRequest) => `${weight} ${slant}`;
  return [...new Map(requests.map((request) => [id(request), request])).values()];
}
