import { onBeforeUnmount, onMounted, type Ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useProject } from '../store/project';
import { useProof } from '../store/proof';
import { STAGES } from './stages';

/** How long `g` waits for a stage's letter, milliseconds. */
const CHORD_TIME = 1200;

const TYPING = 'input, textarea, select, [contenteditable], [role="combobox"], [role="listbox"]';

/** The keys that work in every stage. They stay out of the way while something is typed. */
export function useShortcuts(help: Ref<boolean>): void {
  const project = useProject();
  const proof = useProof();
  const router = useRouter();
  const route = useRoute();
  let chordUntil = 0;

  function withControl(event: KeyboardEvent): void {
    if (event.key.toLowerCase() !== 'z') return;
    event.preventDefault();
    void (event.shiftKey ? project.redo() : project.undo());
  }

  function onKey(event: KeyboardEvent): void {
    const target = event.target as Element | null;
    if (event.defaultPrevented || target?.closest?.(TYPING)) return;
    if (event.ctrlKey || event.metaKey) {
      withControl(event);
      return;
    }
    if (event.altKey) return;
    if (event.timeStamp < chordUntil) {
      chordUntil = 0;
      const stage = STAGES.find(({ letter }) => letter === event.key);
      if (stage) {
        void router.push({ name: stage.key, params: { project: route.params['project'] } });
        return;
      }
    }
    switch (event.key) {
      case 'g':
        chordUntil = event.timeStamp + CHORD_TIME;
        break;
      case 'f':
        proof.fonts = proof.fonts === 'web' ? 'fallback' : 'web';
        break;
      case 'w':
        proof.nextStop();
        break;
      case '?':
        help.value = !help.value;
        break;
      case 'Escape':
        if (proof.style) proof.style = null;
        break;
    }
  }

  onMounted(() => window.addEventListener('keydown', onKey));
  onBeforeUnmount(() => window.removeEventListener('keydown', onKey));
}
