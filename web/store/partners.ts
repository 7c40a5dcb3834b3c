import type { RankedPartner, Role } from '@lettera/core/pairing';
import { wrap, type Remote } from 'comlink';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import type { PairingWorker } from '../worker/pairing';
import { LATIN, rowsInScript, type LineUpRow } from './rows/rows';
import { partnerOf, useFamilies } from './families';

let worker: Remote<PairingWorker> | null = null;

const pairing = (): Remote<PairingWorker> =>
  (worker ??= wrap<PairingWorker>(
    new Worker(new URL('../worker/pairing.ts', import.meta.url), { type: 'module' }),
  ));

/** The order of partners for the families that are held, made in a worker. */
export const usePartners = defineStore('partners', () => {
  const families = useFamilies();
  const order = shallowRef<RankedPartner[]>([]);
  const state = ref<'idle' | 'ordering' | 'ready'>('idle');
  /** What the order was asked for last: an earlier answer that comes late is let go. */
  let asked = 0;

  const measured = computed(() =>
    rowsInScript(families.rows, LATIN).filter(({ measures }) => measures !== undefined),
  );
  /** Families and how the site sets them: what every order rests on. */
  const library = computed(() => ({ rows: measured.value, use: families.use }));
  watch(
    library,
    ({ rows, use }) => {
      if (use) void pairing().setLibrary(rows.map(partnerOf), use);
    },
    { immediate: true },
  );

  async function find(held: Partial<Record<Role, LineUpRow>>, sought: Role): Promise<void> {
    const request = ++asked;
    const partners = Object.entries(held).map(([role, row]) => [role, partnerOf(row)]);
    if (partners.length === 0) {
      order.value = [];
      state.value = 'idle';
      return;
    }
    state.value = 'ordering';
    const result = await pairing().order(Object.fromEntries(partners), sought);
    if (request !== asked) return;
    order.value = result;
    state.value = 'ready';
  }

  return { order, state, library, find };
});
