import type { RankedPartner, Role } from '@lettera/core/pairing';
import { wrap, type Remote } from 'comlink';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import type { PairingWorker } from '../worker/pairing';
import type { LineUpRow } from './rows/rows';
import { partnerOf, useFamilies } from './families';

let worker: Remote<PairingWorker> | null = null;

const pairing = (): Remote<PairingWorker> =>
  (worker ??= wrap<PairingWorker>(
    new Worker(new URL('../worker/pairing.ts', import.meta.url), { type: 'module' }),
  ));

/** The order of partners for the family that is held, made in a worker. */
export const usePartners = defineStore('partners', () => {
  const families = useFamilies();
  const order = shallowRef<RankedPartner[]>([]);
  const state = ref<'idle' | 'ordering' | 'ready'>('idle');
  /** What the order was asked for last: an earlier answer that comes late is let go. */
  let asked = 0;

  const measured = computed(() => families.rows.filter(({ measures }) => measures !== undefined));
  watch(measured, (rows) => void pairing().setLibrary(rows.map(partnerOf)), { immediate: true });

  async function find(held: LineUpRow | undefined, sought: Role): Promise<void> {
    const request = ++asked;
    if (!held) {
      order.value = [];
      state.value = 'idle';
      return;
    }
    state.value = 'ordering';
    const result = await pairing().order(partnerOf(held), sought);
    if (request !== asked) return;
    order.value = result;
    state.value = 'ready';
  }

  return { order, state, measured, find };
});
