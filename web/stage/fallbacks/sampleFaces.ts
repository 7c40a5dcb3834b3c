import { facesOf, type TunedCandidate } from '@lettera/core/fallback';
import { onScopeDispose, watchEffect } from 'vue';
import { fallbackRules } from '../../proof/fallbackRules';
import { useFallbacks } from '../../store/fallbacks';

/** A tuned local font that the workbench sets text in, and the name that it goes by there. */
export interface SampleFace {
  name: string;
  candidate: TunedCandidate;
}

/**
 * Makes tuned local fonts known to the workbench: over the machine's own font where it has it, else over the
 * open font of the same widths. They go with the component.
 */
export function useSampleFaces(faces: () => readonly SampleFace[]): void {
  const fallbacks = useFallbacks();
  const sheet = new CSSStyleSheet();
  document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];
  let written = '';
  watchEffect(() => {
    const text = faces()
      .flatMap(({ name, candidate }) => facesOf(name, candidate))
      .map((face) => fallbackRules(face, fallbacks.twins[face.local]))
      .join('\n');
    if (text === written) return;
    written = text;
    sheet.replaceSync(text);
  });
  onScopeDispose(() => {
    document.adoptedStyleSheets = document.adoptedStyleSheets.filter((one) => one !== sheet);
  });
}

/** The name of a candidate's sample face. */
export const sampleName = (voice: string, local: string): string => `sample ${voice} ${local}`;
