import type * as Check from '@lettera/core/check';
import type { AsideMark, Evidence, Judged, Mark } from '@lettera/core/check';
import type { ProjectDocument } from '@lettera/core/document';
import { defineStore } from 'pinia';
import { computed, shallowRef, watch } from 'vue';
import { afterRest } from '../control/afterRest';
import { inPieces } from '../control/inPieces';
import { whenIdle } from '../control/whenIdle';
import { useEvidence } from './evidence';
import { useLayer } from './layer';
import { useProject } from './project';

const NONE: Judged = { marks: [], aside: [] };

/** The marks on the project as it is shown, worked out once for everything that shows them. */
export const useMarks = defineStore('marks', () => {
  const project = useProject();
  const { evidenceOf } = useEvidence();
  const pointed = useLayer('marks: remedy pointed at');

  const shown = afterRest(() => project.shown);

  const evidence = computed<Evidence>(() => (shown.value ? evidenceOf(shown.value, true) : {}));

  /** The rules come after what is seen first: a page shows before it is judged. */
  const check = shallowRef<typeof Check | null>(null);
  whenIdle(async () => {
    check.value = await import('@lettera/core/check');
  });

  /** What was found last; null until anything has been judged. */
  const judged = shallowRef<Judged | null>(null);
  const judge = inPieces<ProjectDocument, Judged>(
    (document) => check.value?.judging(document, evidence.value) ?? null,
    (found) => (judged.value = found),
  );
  watch(
    [shown, evidence, check],
    () => {
      if (!shown.value || !check.value) judged.value = null;
      void judge(shown.value);
    },
    { immediate: true },
  );
  const current = computed(() => (judged.value ?? NONE).marks);
  const aside = computed<AsideMark[]>(() => (judged.value ?? NONE).aside);

  /** The marks as they were when one of them began to be shown put right: it stays in the list meanwhile. */
  const held = shallowRef<Mark[] | null>(null);
  const marks = computed(() => held.value ?? current.value);

  /** Shows on the proof what putting a mark right would do; null goes back. */
  function look(mark: Mark | null): void {
    held.value = mark ? marks.value : null;
    pointed.show(mark?.fix?.patch ?? null);
  }

  /** Puts right what a mark is about. */
  function putRight({ fix }: Mark): boolean {
    held.value = null;
    return fix ? pointed.take(fix.patch) : false;
  }

  /** Sets a mark aside for a reason, and takes it up again. */
  const setAside = (mark: Mark, reason: string): boolean =>
    check.value && project.document
      ? project.change(check.value.setAsidePatch(project.document, mark, reason))
      : false;
  const takeUp = (mark: Mark): boolean =>
    check.value ? project.change(check.value.takeUpPatch(mark)) : false;

  const isJudged = computed(() => judged.value !== null);

  return { shown, evidence, isJudged, marks, aside, setAside, takeUp, look, putRight };
});
