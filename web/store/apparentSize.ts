import { siteName, type Patch, type ProjectDocument } from '@lettera/core/document';
import { apparentSizePatch } from '@lettera/core/style';
import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import { useCaseReadings } from './caseReadings';
import { useLayer } from './layer';
import { useProject } from './project';

/** A voice whose text looks another size since its family changed, and the change that keeps its size. */
export interface SizeOffer {
  voice: string;
  voiceName: string;
  from: string;
  to: string;
  /** x-height of the face before ÷ x-height of the one now. */
  ratio: number;
  patch: Patch;
}

/** The family that a voice's sizes were last settled for. */
interface Before {
  key: string;
  name: string;
  xHeight: number | null;
}

/** X-heights that differ by less look the same. */
const SEEN = 0.015;

const keptKey = (id: string) => `lettera:apparent-size:${id}`;

function recall(id: string): Record<string, Before> {
  try {
    return JSON.parse(localStorage.getItem(keptKey(id)) ?? '{}') as Record<string, Before>;
  } catch {
    return {};
  }
}

/**
 * Offers to keep text as large to the eye when a voice's family has changed. An offer stays until it is
 * taken or dismissed, or the family comes back.
 */
export const useApparentSize = defineStore('apparentSize', () => {
  const project = useProject();
  const caseReadings = useCaseReadings();
  const before = ref<Record<string, Before>>({});

  const familyOf = (document: ProjectDocument, voice: string): string | null =>
    document.voices[voice]?.family ?? null;

  watch(
    () => project.id,
    (id) => (before.value = id ? recall(id) : {}),
    { immediate: true },
  );
  watch(before, (kept) => {
    if (project.id) localStorage.setItem(keptKey(project.id), JSON.stringify(kept));
  });

  /** Sizes that change together with the family have been settled with it. */
  const sizesStay = (now: ProjectDocument, then: ProjectDocument): boolean =>
    JSON.stringify(now.scale) === JSON.stringify(then.scale);

  watch(
    () => [project.id, project.document] as const,
    ([id, now], [idBefore, then]) => {
      if (!now || !then || id !== idBefore || now.voices === then.voices) return;
      const changed: Record<string, Before> = { ...before.value };
      for (const voice of Object.keys(now.voices)) {
        const from = familyOf(then, voice);
        const to = familyOf(now, voice);
        if (!from || !to || from === to) continue;
        if (changed[voice]?.key === to) delete changed[voice];
        else if (!changed[voice] && sizesStay(now, then)) {
          const family = then.case[from];
          changed[voice] = {
            key: from,
            name: family ? siteName(family) : from,
            xHeight: caseReadings.xHeights[from] ?? null,
          };
        } else if (!sizesStay(now, then)) delete changed[voice];
      }
      before.value = changed;
    },
  );

  const offers = computed<SizeOffer[]>(() => {
    const { document } = project;
    if (!document) return [];
    return Object.entries(before.value).flatMap(([voice, { key, name, xHeight }]) => {
      const now = familyOf(document, voice);
      const family = document.case[now ?? ''];
      const from = xHeight ?? caseReadings.xHeights[key];
      const to = caseReadings.xHeights[now ?? ''];
      if (!family || now === key || !from || !to) return [];
      const ratio = from / to;
      const patch = apparentSizePatch(document, [voice], ratio);
      return Math.abs(ratio - 1) > SEEN && patch.length > 0
        ? [
            {
              voice,
              voiceName: document.voices[voice]?.name ?? voice,
              from: name,
              to: siteName(family),
              ratio,
              patch,
            },
          ]
        : [];
    });
  });

  function dismiss(voice: string): void {
    const { [voice]: _settled, ...rest } = before.value;
    before.value = rest;
  }

  const layer = useLayer('apparent size: pointed at');

  /** Shows an offer on the proof; null goes back. */
  const look = (offer: SizeOffer | null): void => layer.show(offer?.patch ?? null);

  function take(offer: SizeOffer): void {
    if (layer.take(offer.patch)) dismiss(offer.voice);
  }

  return { offers, look, take, dismiss };
});
