import { computed } from 'vue';
import { urls } from '../api/client';
import { useLibrary } from '../store/library';
import { useProject } from '../store/project';

/**
 * Where a font file is fetched from: the project's store when it has been taken in, else the library,
 * whose families can be tried on the proof before they are.
 */
export function useFontUrl(): (sha256: string) => string {
  const project = useProject();
  const library = useLibrary();

  const taken = computed(
    () =>
      new Set(
        Object.values(project.stored?.document.case ?? {}).flatMap(({ faces }) =>
          faces.flatMap(({ files }) => files.map(({ sha256 }) => sha256)),
        ),
      ),
  );
  const offered = computed(
    () =>
      new Map(
        library.families.flatMap(({ id, files }) =>
          files.map(({ sha256, name }) => [sha256, { id, name }] as const),
        ),
      ),
  );

  return (sha256) => {
    const file = taken.value.has(sha256) ? undefined : offered.value.get(sha256);
    return file ? urls.libraryFont(project.id, file.id, file.name) : urls.font(project.id, sha256);
  };
}
