import { judge, type AsideMark, type Mark } from '@lettera/core/check';
import { casePlan } from '@lettera/core/deliver';
import type { Family } from '@lettera/core/document';
import { fallbackPlan } from '@lettera/core/fallback';
import { FontError } from '@lettera/core/font';
import type { FamilySheet } from '@lettera/core/measure';
import type { Project } from '@lettera/core/wire';
import type { Services } from './services';

/** What was read and measured of a family of the case; null for one that cannot be, which keeps no other from it. */
export async function caseSheet(
  { fonts, measurer }: Pick<Services, 'fonts' | 'measurer'>,
  { faces }: Family,
): Promise<FamilySheet | null> {
  try {
    return await measurer.sheet(faces, async ({ sha256 }) => {
      const file = (await fonts.files([sha256])).get(sha256);
      if (!file) throw new RangeError('A file of this family is not in the store.');
      return file;
    });
  } catch (error) {
    if (error instanceof FontError) return null;
    throw error;
  }
}

/**
 * The marks on a project as it is stored, with all that is known of its faces and fallbacks. Those that need
 * a page laid out are made in a browser only.
 */
export async function judgeProject(
  services: Pick<Services, 'fonts' | 'measurer' | 'tuner' | 'deliveries'>,
  { id, document }: Project,
): Promise<{ marks: Mark[]; aside: AsideMark[] }> {
  const [evidence, trials, sheets] = await Promise.all([
    services.deliveries.evidence({ id, document }),
    services.tuner.trials(id, document),
    Promise.all(
      Object.entries(document.case).map(
        async ([key, family]) => [key, await caseSheet(services, family)] as const,
      ),
    ),
  ]);
  const hashes = Object.values(document.case).flatMap(({ faces }) =>
    faces.flatMap(({ files }) => files.map(({ sha256 }) => sha256)),
  );
  const readings = Object.fromEntries(await services.fonts.readings(hashes));
  const known = sheets.flatMap(([key, sheet]) => (sheet ? [[key, sheet] as const] : []));
  return judge(document, {
    readings,
    lines: readings,
    measures: Object.fromEntries(known.map(([key, { measures }]) => [key, measures])),
    xHeights: Object.fromEntries(
      known.flatMap(([key, sheet]) => {
        const { xHeight } = sheet.measures.regular;
        return xHeight ? [[key, xHeight]] : [];
      }),
    ),
    characters: Object.fromEntries(known.map(([key, { characters }]) => [key, characters])),
    fallback: fallbackPlan(document, trials),
    bytes: new Map(casePlan(document, evidence).files.map(({ source, bytes }) => [source, bytes])),
  });
}
