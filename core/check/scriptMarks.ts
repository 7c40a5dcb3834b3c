import type { ProjectDocument } from '../document/projectDocument';
import { localName, localSet } from '../fallback/localFonts';
import { SCRIPTS, type Script } from '../script';
import { matchFace } from '../style/faceMatch';
import {
  documentInLanguage,
  scriptRequests,
  siteLanguages,
  type SetLanguage,
} from '../style/inLanguage';
import { resolveInUse } from '../style/resolve';
import { scriptSeats, servedBy } from '../style/served';
import { stylesInUse, voiceUses } from '../style/usage';
import { inWords, styleName, subjectOf, type Mark, type Rule } from './mark';

/** Styles that ask a voice for a weight and slant in a language, as they are called. */
function askedBy(document: ProjectDocument, voice: string, weight: number, slant: string): string {
  const names = stylesInUse(document)
    .filter((style) => {
      const resolved = resolveInUse(document, style);
      return (
        resolved.voice.value === voice &&
        resolved.weight.value === weight &&
        resolved.slant.value === slant
      );
    })
    .map((style) => styleName(document, style));
  return inWords(names) || (document.voices[voice]?.name ?? voice);
}

/** A bold or an italic of a script's family that its files do not have: the browser makes it up. */
export const madeUpInScript: Rule = (document) =>
  [...voiceUses(document).keys()].flatMap((voice) =>
    scriptSeats(document.voices[voice]).flatMap(({ script, seat }): Mark[] => {
      const family = document.case[seat.family];
      const language = siteLanguages(document).find((one) => one.script.key === script.key);
      if (!family || !language) return [];
      const at = documentInLanguage(document, language);
      const asked = voiceUses(at).get(voice)?.requests ?? [];
      return scriptRequests(document, voice, script).flatMap(({ weight, slant }): Mark[] => {
        // Bold within italics, which no style asks for by itself, is told by each of the two.
        if (!asked.some((one) => one.weight === weight && one.slant === slant)) return [];
        const match = matchFace(family.faces, { weight, slant });
        if (!match) return [];
        const about = {
          stage: match.fakedItalic ? ('styles' as const) : ('faces' as const),
          family: seat.family,
          voice,
          subject: subjectOf(script.key, weight, slant),
        };
        const who = askedBy(at, voice, weight, slant);
        if (match.fakedItalic && slant === 'italic') {
          return [
            {
              ...about,
              rule: 'faked-italic-script',
              message: `${who}: in ${script.name} the upright of ${family.name} is slanted by the browser${script.setting.emphasis === 'italic' ? '' : `, and ${script.name} has no italics`}.`,
              remedy: `Choose what stands in place of italics in ${script.name}, under Languages in Styles.`,
            },
          ];
        }
        if (!match.fakedBold) return [];
        return [
          {
            ...about,
            rule: 'faked-bold-script',
            message: `${who}: in ${script.name} ${family.name} ${match.weight} is thickened by the browser, since ${weight} is asked for.`,
            remedy: `Add ${family.name} ${weight}, or give the voice a family for ${script.name} that has it.`,
            lacks: { weight, style: slant },
          },
        ];
      });
    }),
  );

/** Letters with marks may reach so much further than a line is high: those highest and lowest seldom meet. */
export const REACHES_PAST = 1.3;

/** Line heights at which the marks of one line stand in the letters of the next. */
export const marksMeet: Rule = (document, { measures = {} }) =>
  siteLanguages(document).flatMap((language): Mark[] => {
    const { key } = language.script;
    if (key === 'latin') return [];
    const at = documentInLanguage(document, language);
    const styles = stylesInUse(at).flatMap((style) => {
      const { voice, lineHeight } = resolveInUse(at, style);
      const served = servedBy(at, voice.value ?? '');
      const by =
        served.find(({ script }) => script?.key === key) ??
        served.find(({ script }) => script === null);
      const own = by && measures[by.key]?.scripts[key];
      const { value } = lineHeight;
      if (!by || own?.top == null || own.bottom == null || typeof value !== 'number') return [];
      const reach = (own.top - own.bottom) * by.size;
      return reach > value * REACHES_PAST ? [{ style, family: by.family.name, reach, value }] : [];
    });
    const [worst] = styles.toSorted((a, b) => b.reach / b.value - a.reach / a.value);
    if (!worst) return [];
    return [
      {
        rule: 'marks-meet',
        stage: 'styles',
        style: worst.style,
        subject: subjectOf(language.key),
        message: `${inWords(styles.map(({ style }) => styleName(document, style)))}: in ${language.script.name} marks of one line can stand in the letters of the next, since ${worst.family} reaches over ${worst.reach.toFixed(2)} em and a line has ${Number(worst.value.toFixed(2))}.`,
        remedy: `Set a higher line for this language, under Languages in Styles.`,
        fix: higherLine(document, language, (worst.reach / REACHES_PAST / worst.value) * 1.001),
      },
    ];
  });

/** The change that gives a language lines so many times as high as they are. */
function higherLine(document: ProjectDocument, language: SetLanguage, times: number) {
  const lineHeight = Math.min(2, Math.ceil(language.setting.lineHeight * times * 100) / 100);
  const all = document.byLanguage;
  const value = { ...all?.[language.key], lineHeight };
  return {
    does: `Set lines ${lineHeight} times as high`,
    patch: all
      ? [{ op: 'add' as const, path: `/byLanguage/${language.key}`, value }]
      : [{ op: 'add' as const, path: '/byLanguage', value: { [language.key]: value } }],
  };
}

/** Local fonts chosen for a script that are none of it. */
export const wrongScriptFallback: Rule = (document) =>
  Object.entries(document.voices).flatMap(([voice, one]) =>
    scriptSeats(one).flatMap(({ script, seat }): Mark[] => {
      const wrong = (seat.fallback ?? []).filter((local) => localSet(local)?.script !== script.key);
      if (wrong.length === 0) return [];
      return [
        {
          rule: 'wrong-script-fallback',
          stage: 'fallbacks',
          voice,
          family: seat.family,
          subject: subjectOf(script.key),
          message: `${one.name}: ${inWords(wrong.map(localName))} ${wrong.length === 1 ? 'has' : 'have'} no letters of ${script.name}, so nobody sees ${wrong.length === 1 ? 'it' : 'them'} there.`,
          remedy: `Use local fonts of ${script.name}.`,
          fix: {
            does: 'Use those proposed',
            patch: [{ op: 'remove', path: `/voices/${voice}/scripts/${script.key}/fallback` }],
          },
        },
      ];
    }),
  );

/** The script with joined letters that a text has, if it has any. */
const joinedIn = (text: string): Script | undefined =>
  SCRIPTS.find(
    ({ joining, has }) => joining && [...text].some((one) => /\p{L}/u.test(one) && has.test(one)),
  );

/** Letters that are joined and pulled apart: in text of no language of the site's, spacing is as the style has it. */
export const joinedApart: Rule = (document, { page }) => {
  const known = new Set(siteLanguages(document).map(({ script }) => script.key));
  return stylesInUse(document).flatMap((style): Mark[] => {
    const { letterSpacing } = resolveInUse(document, style);
    const script = joinedIn(page?.letters?.[style] ?? '');
    if (!page || !script || known.has(script.key) || letterSpacing.value === 0) return [];
    return [
      {
        rule: 'joined-apart',
        stage: 'styles',
        style,
        subject: subjectOf(page.title, script.key),
        message: `${styleName(document, style)}: on “${page.title}” the joined letters of ${script.name} are pulled apart, since ${Number(letterSpacing.value.toFixed(3))} em stands between them.`,
        remedy: 'Add its language to those of the site: it is set without letter spacing then.',
      },
    ];
  });
};

/** Text that runs from right to left in a block that runs from left to right: its full stops stand at the wrong end. */
export const wrongDirection: Rule = (document, { page }) =>
  stylesInUse(document).flatMap((style): Mark[] => {
    const words = page?.turned?.[style];
    if (!page || !words) return [];
    return [
      {
        rule: 'wrong-direction',
        stage: 'styles',
        style,
        subject: subjectOf(page.title),
        message: `${styleName(document, style)}: on “${page.title}” the stops and brackets of “${words}” stand at the wrong end, since the page sets it from left to right.`,
        remedy: 'Say dir="rtl" on the page where this text stands.',
      },
    ];
  });
