import { type Ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { EVERYWHERE, useKeys } from '../control/keys';
import { useProject } from '../store/project';
import { useProof } from '../store/proof';
import { STAGES } from './stages';

/** The keys that work in every stage. */
export function useShortcuts(help: Ref<boolean>): void {
  const project = useProject();
  const proof = useProof();
  const router = useRouter();
  const route = useRoute();

  useKeys(EVERYWHERE, [
    { keys: 'Mod+z', does: 'undo', run: () => void project.undo() },
    { keys: 'Shift+Mod+z', does: 'redo', run: () => void project.redo() },
    {
      keys: 'f',
      does: 'web or fallback faces on the proof',
      run: () => (proof.fonts = proof.fonts === 'web' ? 'fallback' : 'web'),
    },
    {
      keys: 'd',
      does: 'light or dark background on the proof',
      run: () => (proof.ground = proof.ground === 'light' ? 'dark' : 'light'),
    },
    {
      keys: 'b',
      does: 'the last waypoint on the proof, or back',
      when: () => proof.earlier !== null,
      run: () => (proof.before = !proof.before),
    },
    { keys: 'w', does: 'next width of the proof', run: () => proof.nextStop() },
    {
      keys: 'r',
      does: 'full width for the proof, or back',
      run: () => {
        proof.folded = false;
        proof.whole = !proof.whole;
      },
    },
    {
      keys: 'Escape',
      does: 'leave, or give back what is looked at',
      when: () => proof.whole || proof.style !== null,
      run: () => {
        if (proof.whole) proof.whole = false;
        else proof.style = null;
      },
    },
    { keys: '?', does: 'these keys', run: () => (help.value = !help.value) },
    {
      keys: 'arrow keys',
      does: 'step a number or an end of a curve, ten at a time with Shift',
    },
    ...STAGES.map(({ key, letter, name }) => ({
      keys: `g ${letter}`,
      does: `go to ${name}`,
      run: () => void router.push({ name: key, params: { project: route.params['project'] } }),
    })),
  ]);
}
