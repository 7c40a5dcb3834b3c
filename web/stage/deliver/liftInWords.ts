import { liftInWords as say } from './words';
import type { TextElement } from '@lettera/core/document';
import { count } from '../../control/figures';

/** What the rule of a text element weighs, in words: its selectors' own, and what is added. */
export function liftInWords([ids, classes]: NonNullable<TextElement['weight']> = [0, 0]): string {
  const added = [
    ...(ids ? [say.plus(count(ids, 'id'))] : []),
    ...(classes ? [say.plus(count(classes, 'class', 'classes'))] : []),
  ];
  return `(${added.join(' ') || say.ofItsOwn})`;
}
