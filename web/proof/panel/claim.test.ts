import { expect, test } from '@jest/globals';
import { applyChange } from '@lettera/core/change';
import { stylesheet } from '@lettera/core/deliver';
import { FRAMEWORKS } from '@lettera/core/page/frameworks';
import { sameStyles, strays } from '@lettera/core/style';
import { plansOf, seatedDocument } from '../../../core/testing/documents';
import { partsPatch } from './claim';

test('parts of a framework become text elements that change nothing until something is set', () => {
  const before = seatedDocument();
  for (const { name, parts } of FRAMEWORKS) {
    const { document } = applyChange(before, partsPatch(before, parts));
    const added = Object.values(document.elements).slice(Object.keys(before.elements).length);
    expect([name, added.length]).toEqual([name, parts.length]);
    expect(sameStyles(document)).toEqual(sameStyles(before));
    expect(strays(document)).toEqual(strays(before));
    // Rules of elements are the same; only browsers' own style sheets are kept from standing between.
    const rules = (css: string) => css.split('@layer lettera {')[1];
    expect(rules(stylesheet(document, plansOf(document)))).toBe(
      rules(stylesheet(before, plansOf(before))),
    );
    const names = Object.values(document.elements).map((element) => element.name);
    expect(new Set(names).size).toBe(names.length);
  }
});
