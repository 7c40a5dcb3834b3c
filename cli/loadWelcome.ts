import type { ProjectDocument } from '@lettera/core/document';
import { besideSize, type FamilyMeasures } from '@lettera/core/measure';
import type { NewFont, Project, Services } from '@lettera/server';
import {
  sampleFamilies,
  WELCOME_SEATS,
  WELCOME_SLUG,
  welcomeDocument,
  welcomeFamilies,
  welcomePages,
} from '@lettera/sample';
import { seatFirst, takeFamilies } from './loadSample';

type Needs = Pick<Services, 'projects' | 'fonts' | 'jobs' | 'measurer'>;

/** What is measured of each family of a case, from files that are not stored yet. */
async function measuresOf(
  { measurer }: Needs,
  document: ProjectDocument,
  fonts: readonly NewFont[],
): Promise<Map<string, FamilyMeasures>> {
  const bytes = new Map(fonts.map((font) => [font.reading.sha256, new Uint8Array(font.bytes)]));
  const measured = new Map<string, FamilyMeasures>();
  for (const [key, { faces }] of Object.entries(document.case)) {
    const sheet = await measurer.sheet(faces, ({ sha256 }) =>
      Promise.resolve(bytes.get(sha256) ?? new Uint8Array()),
    );
    if (sheet) measured.set(key, sheet.measures);
  }
  return measured;
}

/** Seats the family of each script beside a voice's own, at the size at which both look alike. */
function seatScripts(
  document: ProjectDocument,
  measures: ReadonlyMap<string, FamilyMeasures>,
): void {
  for (const [voiceKey, seats] of Object.entries(WELCOME_SEATS)) {
    const voice = document.voices[voiceKey];
    const beside = measures.get(voice?.family ?? '');
    if (!voice || !beside) continue;
    voice.scripts = Object.fromEntries(
      Object.entries(seats).map(([script, family]) => {
        const of = measures.get(family);
        return [script, { family, size: (of && besideSize(beside, of, script)) ?? 1 }];
      }),
    );
  }
}

/** Loads the Trust's pages of welcome in four languages, as a project of their own, if it is not there. */
export async function loadWelcome(services: Needs): Promise<Project> {
  const there = await services.projects.get(WELCOME_SLUG);
  if (there) return there;
  const document = welcomeDocument();
  const families = [...(await sampleFamilies()), ...(await welcomeFamilies())];
  const fonts = await takeFamilies(services, document, families);
  seatFirst(document);
  seatScripts(document, await measuresOf(services, document, fonts));
  return services.projects.create(document, await welcomePages(), {
    slug: WELCOME_SLUG,
    alongside: (id) => services.fonts.statements(id, fonts),
  });
}
