import { stock as say } from './words';
import { freeKey, type Patch, type SitePage } from '@lettera/core/document';
import type { Stock, SiteView } from '@lettera/core/stock';
import type { LookedPages } from '@lettera/core/wire';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { api, ApiError } from '../api/client';
import type { PageFile } from './ownPages';
import { useProject } from './project';
import { useProof } from './proof';
import { useSiteVisits } from './siteVisits';

/** A page that is looked at, and where it was fetched from, where it was. */
type LookedPage = LookedPages['pages'][number];
const placeOf = ({ site, path }: Pick<SitePage, 'site' | 'path'>): string => `${site} ${path}`;

/** Ways in which a site is brought from outside. */
type Way = 'files' | 'address';

const PAGES = 'pages of the site that is looked at';
const FOLD = say.siteFolded;

/**
 * A site that is taken stock of: its pages, what was read of them, and what is proposed. The project is not
 * changed by any of it until something is taken.
 */
export const useStock = defineStore('stock', () => {
  const project = useProject();
  const proof = useProof();
  const visits = useSiteVisits();
  /** Pages that are looked at, by the keys that they would have in the project. */
  const pages = shallowRef<Readonly<Record<string, SitePage>>>({});
  /** How the site that is being brought comes; null while none is. */
  const bringing = ref<Way | null>(null);
  /** How that came, which `outcome` and `refusal` are about. */
  const way = ref<Way>('files');
  /** What became of the files that were brought last. */
  const outcome = shallowRef<LookedPages | null>(null);
  const refusal = ref('');
  /** The inner host that was not asked, and may be allowed; null where that was not it. */
  const innerHost = ref<string | null>(null);
  /** What was read, with what selectors meet on those pages. */
  const read = shallowRef<{ stock: Stock; view: SiteView; slugs: string[] } | null>(null);
  /** What is shown as if it were taken; null for the site as it is. */
  const folded = shallowRef<Patch | null>(null);
  /** Whether the stage is open: what is looked at is shown there alone. */
  const isOpen = ref(false);
  /** Where pages were fetched from, by their places, where they were. */
  const addresses = shallowRef<ReadonlyMap<string, string>>(new Map());
  const fetched = computed(() =>
    Object.entries(pages.value).flatMap(([slug, page]) => {
      const address = addresses.value.get(placeOf(page));
      return address === undefined ? [] : [{ slug, address }];
    }),
  );
  let abort = new AbortController();
  let pageBefore = '';

  const titles = computed(() =>
    Object.entries(pages.value).map(([slug, { name }]) => ({ slug, title: name })),
  );

  function clear(): void {
    abort.abort();
    pages.value = {};
    outcome.value = null;
    refusal.value = '';
    read.value = null;
    keptAt.value = null;
    keepFault.value = '';
    folded.value = null;
    addresses.value = new Map();
  }
  watch(() => project.id, clear);

  /** When the pages that are looked at were taken stock of before; null where they were not. */
  const keptAt = ref<string | null>(null);
  /** Why the pages will not be there another time; empty while they will. */
  const keepFault = ref('');

  /** Brings back the pages that were looked at when the project was open last. */
  async function recall(): Promise<void> {
    const { id } = project;
    const kept = await api.stock(id).catch(() => null);
    if (!kept || kept.pages.length === 0 || id !== project.id) return;
    if (Object.keys(pages.value).length > 0) return;
    keptAt.value = kept.made;
    look(kept.pages);
  }

  /** Keeps what was read: its pages are there when the project is opened again. */
  async function keep(taken: NonNullable<typeof read.value>): Promise<void> {
    read.value = taken;
    keepFault.value = '';
    const all = taken.slugs.flatMap((slug) => pages.value[slug] ?? []);
    try {
      await api.keepStock(
        project.id,
        all.map((page) => {
          const { name, site, path } = page;
          const address = addresses.value.get(placeOf(page));
          return { name, site, path, ...(address === undefined ? {} : { address }) };
        }),
      );
    } catch (error) {
      keepFault.value = say.whatWasReadShown((error as Error).message);
    }
  }

  /** Leaves the site: another is begun with. */
  async function leaveSite(): Promise<void> {
    clear();
    await api.forgetStock(project.id).catch(() => null);
  }

  /** Shows what is looked at on the proof, or takes it away. */
  function show(): void {
    const own = project.document?.pages;
    const added = Object.entries(pages.value).filter(([key]) => !own?.[key]);
    const patch: Patch = own
      ? added.map(([key, value]) => ({ op: 'add', path: `/pages/${key}`, value }))
      : [{ op: 'add', path: '/pages', value: Object.fromEntries(added) }];
    project.setLayer(PAGES, 'pointed', isOpen.value && added.length > 0 ? patch : null);
    project.setLayer(FOLD, 'pointed', isOpen.value ? folded.value : null);
    proof.bare = isOpen.value && folded.value === null;
  }
  watch([isOpen, pages, folded, () => project.document?.pages], show);

  function open(): void {
    pageBefore = proof.page;
    isOpen.value = true;
    show();
    const [first] = titles.value;
    if (first) proof.page = first.slug;
    else void recall();
  }
  function leave(): void {
    isOpen.value = false;
    folded.value = null;
    proof.pointedOut = [];
    if (!Object.hasOwn(project.document?.pages ?? {}, proof.page)) proof.page = pageBefore;
    show();
  }

  /** Looks at pages that are there already, or at more of them. */
  function look(more: readonly LookedPage[]): void {
    const own = project.document?.pages ?? {};
    const all = { ...pages.value };
    const from = new Map(addresses.value);
    for (const { address, ...page } of more) {
      if (address !== undefined) from.set(placeOf(page), address);
      const same = (one: SitePage) => one.site === page.site && one.path === page.path;
      if (Object.values(all).some(same)) continue;
      const known = Object.entries(own).find(([, one]) => same(one));
      const key =
        known?.[0] ??
        freeKey(
          [...Object.keys(own), ...Object.keys(all), ...project.pages.map(({ slug }) => slug)],
          'site-page',
          'page',
        );
      all[key] = known?.[1] ?? page;
    }
    addresses.value = from;
    pages.value = all;
    read.value = null;
    folded.value = null;
    show();
    const [first] = Object.keys(all);
    if (first) proof.page = first;
  }

  /** Takes what is brought, however it comes. @returns whether there are pages among it */
  async function take(
    by: Way,
    ask: (signal: AbortSignal) => Promise<LookedPages>,
  ): Promise<boolean> {
    if (bringing.value) return false;
    bringing.value = by;
    way.value = by;
    refusal.value = '';
    innerHost.value = null;
    outcome.value = null;
    abort = new AbortController();
    const { signal } = abort;
    try {
      const brought = await ask(signal);
      if (signal.aborted) return false;
      outcome.value = brought;
      keptAt.value = null;
      look(brought.pages);
      return true;
    } catch (error) {
      refusal.value = signal.aborted ? say.stoppedNothingWasRead : (error as Error).message;
      innerHost.value = error instanceof ApiError ? (error.problem.host ?? null) : null;
      return false;
    } finally {
      bringing.value = null;
    }
  }

  /** Brings files of a site to be looked at. @returns whether there are pages among them */
  async function bring(files: readonly PageFile[]): Promise<boolean> {
    if (files.length === 0) return false;
    return take('files', (signal) => api.lookAtPages(project.id, files, signal));
  }

  /** Has a page fetched from an address. @returns whether it came */
  const fetchPage = (address: string): Promise<boolean> =>
    take('address', (signal) => api.lookAtAddress(project.id, visits.requestOf(address), signal));

  /**
   * Has the pages that were fetched fetched again, as they are now. Only once all have come do they take the
   * place of those that were there.
   */
  const fetchAgain = (): Promise<boolean> =>
    take('address', async (signal) => {
      const again = fetched.value;
      const came: LookedPages = { pages: [], refused: [], leftOut: [] };
      for (const { address } of again) {
        const {
          pages: now,
          refused,
          leftOut,
        } = await api.lookAtAddress(project.id, visits.requestOf(address), signal);
        came.pages.push(...now);
        came.refused.push(...refused);
        came.leftOut.push(...leftOut);
      }
      const gone = new Set(again.map(({ slug }) => slug));
      pages.value = Object.fromEntries(
        Object.entries(pages.value).filter(([slug]) => !gone.has(slug)),
      );
      return came;
    });

  return {
    fetched,
    fetchAgain,
    pages,
    titles,
    isOpen,
    bringing,
    way,
    outcome,
    refusal,
    innerHost,
    read,
    keptAt,
    keepFault,
    keep,
    leaveSite,
    folded,
    open,
    leave,
    look,
    bring,
    fetchPage,
    stop: () => abort.abort(),
  };
});
