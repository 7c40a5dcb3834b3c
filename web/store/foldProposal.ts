import { foldProposal as say } from './words';
import type { ProjectDocument } from '@lettera/core/document';
import {
  stockFacts,
  type FoldChoice,
  type Proposal,
  type Stock,
  type StockView,
} from '@lettera/core/stock';
import { wrap, type Remote } from 'comlink';
import { onScopeDispose, ref, shallowRef, toRaw, watch, type Ref, type ShallowRef } from 'vue';
import { useStock } from './stock';
import type { FoldingWorker } from '../worker/folding';

/** What a site would be in a project, made in a worker. */
export interface FoldProposal {
  /** The last that was made; null until there is one. */
  proposal: Readonly<ShallowRef<Proposal | null>>;
  /** `ready` where it is the one that is wanted now. */
  state: Readonly<Ref<'folding' | 'ready' | 'stopped' | 'failed'>>;
  /** Why there is none; empty while all is well. */
  fault: Readonly<Ref<string>>;
  stop(): void;
  /** Folds after all. */
  again(): void;
}

export function useFoldProposal(
  site: () => { stock: Stock; view: StockView },
  document: () => ProjectDocument | null,
  choice: () => FoldChoice,
): FoldProposal {
  const looked = useStock();
  const proposal = shallowRef<Proposal | null>(null);
  const state = ref<'folding' | 'ready' | 'stopped' | 'failed'>('folding');
  const fault = ref('');
  let worker: Worker | null = null;
  let folding: Remote<FoldingWorker> | null = null;
  /** What was asked for last: an earlier answer that comes late is let go. */
  let asked = 0;

  function begin(): Remote<FoldingWorker> {
    if (folding) return folding;
    worker = new Worker(new URL('../worker/folding.ts', import.meta.url), { type: 'module' });
    folding = wrap<FoldingWorker>(worker);
    const { stock, view } = site();
    void folding.hold(stockFacts(stock, view));
    return folding;
  }
  function end(): void {
    asked++;
    worker?.terminate();
    worker = null;
    folding = null;
  }

  async function fold(): Promise<void> {
    const now = document();
    if (!now) return;
    const mine = ++asked;
    state.value = 'folding';
    fault.value = '';
    try {
      const made = await begin().propose(toRaw(now), choice(), { ...looked.pages });
      if (mine !== asked) return;
      proposal.value = made;
      state.value = 'ready';
    } catch (error) {
      if (mine !== asked) return;
      fault.value = say.siteCouldNotBe((error as Error).message);
      state.value = 'failed';
    }
  }

  watch(site, () => {
    end();
    void fold();
  });
  watch([document, choice, () => looked.pages], () => void fold(), { immediate: true });
  onScopeDispose(end);
  return {
    proposal,
    state,
    fault,
    stop() {
      end();
      state.value = 'stopped';
    },
    again: () => void fold(),
  };
}
