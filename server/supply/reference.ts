import {
  freeKey,
  libraryFaces,
  sortFaces,
  type Face,
  type Family,
  type Patch,
  type WantedReference,
} from '@lettera/core/document';
import { slug } from '@lettera/core/deliver';
import { matchFace } from '@lettera/core/style';
import type { Jobs } from '../job/jobs';
import type { FontStore } from '../store/fontStore';
import type { ProjectStore } from '../store/projectStore';
import type { Project } from '@lettera/core/wire';
import type { FoundryClient } from './foundryClient';
import { fetchFaces, PickError } from './taking';

const LATIN = ['latin', 'latin-ext'];

interface Needs {
  projects: ProjectStore;
  fonts: FontStore;
  foundry: FoundryClient;
  jobs: Jobs;
}

/** The faces of the family that stands in, fetched and stored when it is one of the library's. */
async function standInFaces(
  services: Needs,
  project: Project,
  wanted: WantedReference,
): Promise<{ name: string; faces: Face[] }> {
  const [where, key = ''] = wanted.standIn.split('/');
  if (where === 'case') {
    const families = project.document.case;
    const family = Object.hasOwn(families, key) ? families[key] : undefined;
    if (!family) throw new PickError('The look-alike is not in the case.');
    return { name: family.reference?.standIn ?? family.name, faces: family.faces };
  }
  const details = await services.foundry.family(key);
  const offered = libraryFaces(details);
  const picks = wanted.faces.flatMap((face) => {
    const match = matchFace(offered, { weight: face.weight, slant: face.style });
    return match ? [{ style: match.face.style, weight: match.weight }] : [];
  });
  const scripts = details.scripts.filter((script) => LATIN.includes(script));
  const fetched = await fetchFaces(services, details, {
    scripts: scripts.length > 0 ? scripts : details.scripts.slice(0, 1),
    faces: picks,
  });
  await services.fonts.add(project.id, fetched.fonts);
  return { name: details.name, faces: fetched.family.faces };
}

/**
 * Takes a family into the case that may not be hosted here: its faces show in the nearest faces of the
 * look-alike, and what is delivered is its name and the address that serves it.
 * @throws PickError, SupplyError, FontError, ChangeError
 */
export async function takeReference(
  services: Needs,
  project: Project,
  wanted: WantedReference,
): Promise<Project> {
  const standIn = await standInFaces(services, project, wanted);
  const faces = wanted.faces.flatMap(({ style, weight }): Face[] => {
    const match = matchFace(standIn.faces, { weight, slant: style });
    return match ? [{ style, weightMin: weight, weightMax: weight, files: match.face.files }] : [];
  });
  const name = wanted.name.trim();
  const family: Family = {
    name,
    class: wanted.class,
    source: 'reference',
    reference: { stylesheet: wanted.stylesheet.trim(), standIn: standIn.name },
    licence: null,
    faces: sortFaces(faces),
  };
  return services.projects.change(
    project.id,
    null,
    (document): Patch => [
      {
        op: 'add',
        path: `/case/${freeKey(Object.keys(document.case), slug(name))}`,
        value: family,
      },
    ],
    { label: `Case: ${name} by reference` },
  );
}
