import { ownPages as say } from './words';
import { movePlace } from '@lettera/core/document';
import { defineStore } from 'pinia';
import { ref, shallowRef, watch } from 'vue';
import type { BroughtPages, PageAccount } from '@lettera/core/wire';
import { api } from '../api/client';
import { useProject } from './project';
import { useProof } from './proof';

/** A file on its way in, with its path. */
export interface PageFile {
  path: string;
  content: Blob;
}

/** The path that a file has in the folder that was chosen; its name where it was chosen alone. */
export const pageFile = (file: File): PageFile => ({
  path: file.webkitRelativePath || file.name,
  content: file,
});

/** A page that was pasted, with its style sheet, as the files that it would be. */
export function pastedFiles(name: string, html: string, css: string): PageFile[] {
  const title = /<title/i.test(html) ? '' : `<title>${name.replaceAll('<', '&lt;')}</title>`;
  const link = css.trim() ? '<link rel="stylesheet" href="pasted.css">' : '';
  return [
    { path: 'pasted.html', content: new Blob([`${title}${link}${html}`], { type: 'text/html' }) },
    ...(css.trim() ? [{ path: 'pasted.css', content: new Blob([css], { type: 'text/css' }) }] : []),
  ];
}

/** Pages of the site's own: bringing them in, and what is known of the one that is shown. */
export const useOwnPages = defineStore('ownPages', () => {
  const project = useProject();
  const proof = useProof();
  const state = ref<'idle' | 'bringing'>('idle');
  /** What became of the last that were added. */
  const outcome = shallowRef<BroughtPages | null>(null);
  const refusal = ref('');
  let abort = new AbortController();

  async function bring(files: readonly PageFile[]): Promise<boolean> {
    if (files.length === 0 || state.value === 'bringing') return false;
    state.value = 'bringing';
    refusal.value = '';
    outcome.value = null;
    abort = new AbortController();
    try {
      outcome.value = await api.bringPages(project.id, files, abort.signal);
      project.settle(await api.project(project.id));
      const [first] = outcome.value.pages;
      if (first) proof.page = first.slug;
      return true;
    } catch (error) {
      refusal.value = abort.signal.aborted ? say.stoppedNothingWasAdded : (error as Error).message;
      return false;
    } finally {
      state.value = 'idle';
    }
  }

  const rename = (slug: string, name: string): boolean =>
    project.change([{ op: 'replace', path: `/pages/${slug}/name`, value: name }]);
  function remove(slug: string): void {
    const next = project.pages.find((page) => page.slug !== slug);
    if (proof.page === slug && next) proof.page = next.slug;
    project.change([{ op: 'remove', path: `/pages/${slug}` }]);
  }
  function move(slug: string, by: number): void {
    const pages = project.document?.pages ?? {};
    project.change(movePlace('pages', pages, slug, by));
  }

  /** What was taken out of the page shown, and what its style sheets do; null for one that is not the site's own. */
  const account = shallowRef<PageAccount | null>(null);
  const accountFailed = ref(false);
  async function load(): Promise<void> {
    account.value = null;
    accountFailed.value = false;
    const { page } = proof;
    const own = project.shown?.pages?.[page];
    if (!own) return;
    try {
      const found = await api.pageAccount(project.id, page, own);
      if (page === proof.page) account.value = found;
    } catch {
      if (page === proof.page) accountFailed.value = true;
    }
  }
  watch([() => proof.page, () => project.shown?.pages?.[proof.page]?.site], () => void load(), {
    immediate: true,
  });

  return {
    state,
    outcome,
    refusal,
    bring,
    stop: () => abort.abort(),
    rename,
    remove,
    move,
    account,
    accountFailed,
    load,
  };
});
