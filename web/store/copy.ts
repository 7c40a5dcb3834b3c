import { defineStore } from 'pinia';
import { ref, watch } from 'vue';
import { urls } from '../api/client';
import { useProject } from './project';
import { readPage } from './readPage';

/** Headings of a page that stand on one line where there is little room, characters. */
const SHORT = 34;

/** Headings and a paragraph of the project's own copy, from its first page. */
export const useCopy = defineStore('copy', () => {
  const project = useProject();
  const heading = ref('');
  /** The longest that stands in a row. */
  const short = ref('');
  const paragraph = ref('');

  async function load(): Promise<void> {
    const [first] = project.pages;
    if (!project.id || !first) return;
    const asked = project.id;
    const page = await readPage(urls.page(asked, first.slug));
    if (!page || asked !== project.id) return;
    const said = (node: Element | null) => node?.textContent?.replace(/\s+/g, ' ').trim() ?? '';
    const textOf = (selector: string) => said(page.querySelector(selector));
    heading.value = textOf('h1');
    short.value =
      [...page.querySelectorAll('h1, h2, h3')]
        .map(said)
        .filter(({ length }) => length <= SHORT)
        .sort((a, b) => b.length - a.length)[0] ?? heading.value;
    paragraph.value = textOf('main > p:not(.lead)') || textOf('p');
  }

  watch(() => project.id, load, { immediate: true });

  return { heading, short, paragraph };
});
