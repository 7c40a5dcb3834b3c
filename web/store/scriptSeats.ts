import type { Patch } from '@lettera/core/document';
import { scriptPartners, type ScriptPartner } from '@lettera/core/pairing';
import {
  languageOf,
  scriptOf,
  scriptOfLanguage,
  type Language,
  type Script,
} from '@lettera/core/script';
import { facesWanted, voiceUses } from '@lettera/core/style';
import { besideSize } from '@lettera/core/measure';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { partnerOf, useFamilies } from './families';
import { useLayer } from './layer';
import { useLibrary } from './library';
import { useProject } from './project';
import { freeKey } from '@lettera/core/document';
import { familyToLookAt } from './rows/seating';
import type { LineUpRow } from './rows/rows';
import { scriptSeats as say } from './words';

/** A script of the site's that is not Latin, and its languages. */
export interface SiteScript {
  script: Script;
  languages: Language[];
}

/** The families that voices have for single scripts: who may serve, what is looked at, and what is taken. */
export const useScriptSeats = defineStore('scriptSeats', () => {
  const project = useProject();
  const families = useFamilies();
  const library = useLibrary();
  const layer = useLayer('scripts: on the proof');
  const taking = shallowRef<{ name: string; abort: AbortController } | null>(null);
  const message = ref('');

  /** Scripts that the site's languages are written in, but for Latin. */
  const scripts = computed<SiteScript[]>(() => {
    const found = new Map<string, SiteScript>();
    for (const tag of project.document?.languages ?? []) {
      const language = languageOf(tag);
      const script = language && scriptOfLanguage(language);
      if (!language || !script || script.key === 'latin') continue;
      const known = found.get(script.key) ?? { script, languages: [] };
      known.languages.push(language);
      found.set(script.key, known);
    }
    return [...found.values()];
  });

  /** The weight that a voice is most used in. */
  const weightOf = (voice: string): number =>
    (project.document && voiceUses(project.document).get(voice)?.requests[0]?.weight) ?? 400;

  const ownRow = (voice: string): LineUpRow | undefined =>
    families.ofCase(project.document?.voices[voice]?.family);

  /** Families that have a script, the nearest to a voice's own first. */
  function partners(voice: string, { script, languages }: SiteScript): ScriptPartner[] {
    const own = ownRow(voice);
    if (!own?.measures) return [];
    const candidates = families.rows.filter(({ measures }) => measures?.scripts[script.key]);
    return scriptPartners(
      { partner: partnerOf(own), weight: weightOf(voice) },
      candidates.map(partnerOf),
      script.key,
      languages,
    );
  }

  /** The size at which a family of the case looks as large as a voice's own; null where that is not known. */
  function measuredSize(voice: string, script: string, familyKey: string): number | null {
    const own = ownRow(voice)?.measures;
    const other = families.ofCase(familyKey)?.measures;
    return own && other ? besideSize(own, other, script) : null;
  }

  /** The change that seats a family of the case for a script. */
  function seatPatch(voice: string, script: string, family: string, size: number): Patch {
    const scripted = project.document?.voices[voice]?.scripts;
    const value = { family, size };
    return scripted
      ? [{ op: 'add', path: `/voices/${voice}/scripts/${script}`, value }]
      : [{ op: 'add', path: `/voices/${voice}/scripts`, value: { [script]: value } }];
  }

  function removePatch(voice: string, script: string): Patch {
    const others = Object.keys(project.document?.voices[voice]?.scripts ?? {});
    const path = `/voices/${voice}/scripts`;
    return [{ op: 'remove', path: others.length > 1 ? `${path}/${script}` : path }];
  }

  /** Shows a family for a script on the proof, taken in or not; null gives back what was there. */
  function look(voice: string, script: string, partner: ScriptPartner | null): void {
    const row = partner && families.byKey.get(partner.key);
    if (!row || !project.document) {
      layer.show(null);
      return;
    }
    if (row.caseKey) {
      layer.show(seatPatch(voice, script, row.caseKey, partner.size));
      return;
    }
    if (!row.library) return;
    const key = freeKey(Object.keys(project.document.case), row.library.id);
    layer.show([
      { op: 'add', path: `/case/${key}`, value: familyToLookAt(row.library, row, script) },
      ...seatPatch(voice, script, key, partner.size),
    ]);
  }

  /** Takes a family in for a script, unless it is there, and seats it. */
  async function take(voice: string, script: string, partner: ScriptPartner): Promise<void> {
    const row = families.byKey.get(partner.key);
    const { document } = project;
    layer.show(null);
    message.value = '';
    if (!row || !document) return;
    let key = row.caseKey;
    if (!key && row.library) {
      const abort = new AbortController();
      taking.value = { name: row.name, abort };
      try {
        await library.take(
          row.library.id,
          { scripts: [script], faces: facesWanted(document, voice, row.faces) },
          abort.signal,
        );
        key = families.byKey.get(row.key)?.caseKey ?? null;
      } catch (error) {
        if (!abort.signal.aborted) message.value = say.failed(row.name, (error as Error).message);
      }
      taking.value = null;
    }
    if (key) project.change(seatPatch(voice, script, key, partner.size));
  }

  return {
    scripts,
    taking,
    message,
    partners,
    measuredSize,
    look,
    take,
    remove: (voice: string, script: string) => project.change(removePatch(voice, script)),
    nameOf: (script: string) => scriptOf(script)?.name ?? script,
  };
});
