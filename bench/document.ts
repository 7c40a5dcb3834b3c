import { applyChange } from '@lettera/core/change';
import { marksOf } from '@lettera/core/check';
import type { ProjectDocument, TextStyle } from '@lettera/core/document';
import { face, family, seatedDocument } from '../core/testing/documents';
import { summarise, time, type Row } from './timing';

const RUNS = 60;

/** A project of as many styles and elements as there may be. */
function manyStyles(): ProjectDocument {
  const document = seatedDocument();
  const lead = document.styles['lead'] as TextStyle;
  for (let i = 0; Object.keys(document.styles).length < 200; i++) {
    document.styles[`style-${i}`] = { ...lead, name: `Style ${i}`, follows: i % 3 ? 'lead' : null };
    document.elements[`element-${i}`] = {
      name: `Element ${i}`,
      selectors: [`.element-${i}`],
      style: `style-${i}`,
      parent: i % 2 ? 'table' : null,
    };
    if (Object.keys(document.elements).length >= 200) break;
  }
  return document;
}

/** A case of 57 families, with eighteen faces each. */
function manyFamilies(): ProjectDocument {
  const document = seatedDocument();
  const faces = Array.from({ length: 18 }, (_, i) => face('normal', 100 + i * 50));
  for (let i = 0; Object.keys(document.case).length < 57; i++) {
    document.case[`skerry-${i}`] = family(`Skerry ${i}`, faces);
  }
  return document;
}

/** What a change of the document costs by itself, and all marks after one. */
export async function changingDocuments(): Promise<Row[]> {
  let styles = manyStyles();
  const marking = await time(RUNS, (run) => {
    styles = applyChange(styles, [
      { op: 'replace', path: '/scale/large/base', value: 18 + (run % 5) / 10 },
    ]).document;
    return Promise.resolve(marksOf(styles));
  });
  let families = manyFamilies();
  const renaming = await time(RUNS, (run) => {
    families = applyChange(families, [
      { op: 'add', path: '/case/skerry-3/alias', value: `Site text ${run}` },
    ]).document;
    return Promise.resolve();
  });
  return [
    summarise('all marks after a change, 200 styles', marking.slice(10), 10),
    summarise('a family’s name changed in a case of 57', renaming.slice(10), 5),
  ];
}
