import type { Evidence, Mark, marksOf } from '@lettera/core/check';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { afterRest } from '../control/afterRest';
import { whenIdle } from '../control/whenIdle';
import { useEvidence } from './evidence';
import { useLayer } from './layer';
import { useProject } from './project';

/** The marks on the project as it is shown, worked out once for all that tells of them. */
export const useMarks = defineStore('marks', () => {
  const project = useProject();
  const { evidenceOf } = useEvidence();
  const pointed = useLayer('marks: remedy pointed at');

  const shown = afterRest(() => project.shown);

  const evidence = computed<Evidence>(() => (shown.value ? evidenceOf(shown.value) : {}));

  /** The rules come after what is seen first: a page shows before it is judged. */
  const judge = shallowRef<typeof marksOf | null>(null);
  whenIdle(async () => {
    judge.value = (await import('@lettera/core/check')).marksOf;
  });

  const current = computed(() =>
    shown.value && judge.value ? judge.value(shown.value, evidence.value) : [],
  );

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

  return { shown, evidence, marks, look, putRight };
});
