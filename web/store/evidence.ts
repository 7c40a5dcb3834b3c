import type { Evidence, SetPage } from '@lettera/core/check';
import type { ProjectDocument } from '@lettera/core/document';
import { resolveInUse } from '@lettera/core/style';
import { defineStore } from 'pinia';
import { useCaseReadings } from './caseReadings';
import { useCaseSheets } from './caseSheets';
import { useFamilies } from './families';
import { useMadeDeliveries } from './madeDeliveries';
import { usePlans } from './plans';
import { useProof } from './proof';

/** What is known beyond a document, for its marks: for the project and for a contender in one way. */
export const useEvidence = defineStore('evidence', () => {
  const proof = useProof();
  const caseReadings = useCaseReadings();
  const caseSheets = useCaseSheets();
  const families = useFamilies();
  const plans = usePlans();
  const deliveries = useMadeDeliveries();

  /** The page in another state's faces than it was measured in: its columns stay, its advances are theirs. */
  function pageIn(
    document: ProjectDocument,
    measures: ReturnType<typeof families.measuresIn>,
  ): SetPage | null {
    const page = proof.setPage;
    if (!page) return page;
    const advanceOf = (style: string): number | null | undefined => {
      const voice = resolveInUse(document, style).voice.value ?? '';
      return measures[document.voices[voice]?.family ?? '']?.regular.advance;
    };
    const texts = Object.entries(page.texts).map(([style, text]) => [
      style,
      { ...text, advance: advanceOf(style) ?? text.advance },
    ]);
    return { ...page, texts: Object.fromEntries(texts) as SetPage['texts'] };
  }

  /**
   * What the marks on a state of the project are made of.
   * @param isShown whether it is the state that the page was measured in
   */
  function evidenceOf(document: ProjectDocument, isShown: boolean): Evidence {
    const measures = families.measuresIn(document);
    return {
      readings: caseReadings.readings,
      lines: caseReadings.readings,
      characters: caseSheets.characters,
      delivered: plans.charactersOf(document),
      lastDelivered: deliveries.lastCharacters,
      measures,
      xHeights: Object.fromEntries(
        Object.entries(measures).flatMap(([key, measured]) => {
          const xHeight = measured?.regular.xHeight;
          return xHeight ? [[key, xHeight]] : [];
        }),
      ),
      fallback: plans.fallbackOf(document),
      page: isShown ? proof.setPage : pageIn(document, measures),
      bytes: plans.caseBytes,
    };
  }

  return { evidenceOf };
});
