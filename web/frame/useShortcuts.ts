import { useShortcuts as say } from './words';
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
    { keys: 'Mod+z', does: say.undo, run: () => void project.undo() },
    { keys: 'Shift+Mod+z', does: say.redo, run: () => void project.redo() },
    {
      keys: 'f',
      does: say.webOrFallbackFaces,
      run: () => (proof.fonts = proof.fonts === 'web' ? 'fallback' : 'web'),
    },
    {
      keys: 'd',
      does: say.lightOrDarkBackground,
      run: () => (proof.ground = proof.ground === 'light' ? 'dark' : 'light'),
    },
    {
      keys: 'b',
      does: say.lastWaypointOnProof,
      when: () => proof.earlier !== null,
      run: () => (proof.before = !proof.before),
    },
    { keys: 'w', does: say.nextWidthProof, run: () => proof.nextStop() },
    {
      keys: 'r',
      does: say.fullWidthProofOr,
      run: () => {
        proof.folded = false;
        proof.whole = !proof.whole;
      },
    },
    {
      keys: 'Escape',
      does: say.leaveOrGiveBack,
      when: () => proof.whole || proof.style !== null,
      run: () => {
        if (proof.whole) proof.whole = false;
        else proof.style = null;
      },
    },
    { keys: '?', does: say.theseKeys, run: () => (help.value = !help.value) },
    {
      keys: say.arrowKeys,
      does: say.stepNumberOrEnd,
    },
    ...STAGES.map(({ key, letter, name }) => ({
      keys: `g ${letter}`,
      does: say.go(name),
      run: () => void router.push({ name: key, params: { project: route.params['project'] } }),
    })),
  ]);
}
