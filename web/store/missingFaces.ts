import { missingFaces as say } from './words';
import type { WantedFace } from '@lettera/core/document';
import { libraryFaces } from '@lettera/core/document';
import { defineStore } from 'pinia';
import { ref, watch } from 'vue';
import { useLibrary } from './library';
import { useProject } from './project';
import { pickedBytes, picksOf } from './rows/picks';

/** A face that a family of the case lacks and that the foundry has. */
export interface FaceOffer {
  /** As a button says it. */
  name: string;
  /** Of the files to fetch beside those that are there. */
  bytes: number;
}

/** Faces that styles ask for and that are not in the case: taken in from where they are wanted. */
export const useMissingFaces = defineStore('missingFaces', () => {
  const project = useProject();
  const library = useLibrary();

  const idOf = (family: string, { style, weight }: WantedFace) => `${family} ${style} ${weight}`;
  /** Which face is being taken in, and why one was not. */
  const taking = ref<string | null>(null);
  const refused = ref<{ id: string; why: string } | null>(null);

  /** The foundry is asked for what it has as soon as someone wants to know. */
  function ask(): void {
    if (library.state === 'idle') void library.load();
  }

  const listed = (key: string) => {
    const family = project.document?.case[key];
    return family?.source === 'foundry'
      ? library.families.find(({ name }) => name === family.name)
      : undefined;
  };

  /** A face of a family of the case that could be taken in; null where the foundry has none such. */
  function offerOf(key: string, wanted: WantedFace): FaceOffer | null {
    const family = project.document?.case[key];
    const from = listed(key);
    if (!family || !from) return null;
    const has = libraryFaces(from).some(
      ({ style, weightMin, weightMax }) =>
        style === wanted.style && wanted.weight >= weightMin && wanted.weight <= weightMax,
    );
    if (!has) return null;
    const { scripts, faces } = picksOf(family);
    const bytesOf = (all: readonly WantedFace[]) => pickedBytes(from, scripts, all).bytes;
    return {
      name: `${family.name} ${wanted.weight}${wanted.style === 'italic' ? ' italic' : ''}`,
      bytes: bytesOf([...faces, wanted]) - bytesOf(faces),
    };
  }

  /** Takes a face in beside those that are there. What could not be done is said, and the case is as before. */
  async function take(key: string, wanted: WantedFace): Promise<void> {
    const family = project.document?.case[key];
    const from = listed(key);
    if (!family || !from || taking.value) return;
    const id = idOf(key, wanted);
    taking.value = id;
    refused.value = null;
    const { scripts, faces } = picksOf(family);
    try {
      await library.take(
        from.id,
        { scripts, faces: [...faces, wanted] },
        new AbortController().signal,
      );
    } catch (error) {
      refused.value = { id, why: say.caseAsWas((error as Error).message) };
    }
    taking.value = null;
  }

  watch(
    () => project.id,
    () => (refused.value = null),
  );

  return { taking, refused, idOf, ask, offerOf, take };
});
