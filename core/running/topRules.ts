/** The end of what begins at a place and goes to a mark; the end of the text where that does not come. */
const after = (css: string, mark: string, from: number): number => {
  const at = css.indexOf(mark, from);
  return at < 0 ? css.length : at + mark.length;
};

/** The end of a string that begins at a place. CSS Syntax 3 §4.3.5. */
function afterString(css: string, from: number): number {
  const quote = css[from];
  for (let i = from + 1; i < css.length; i++) {
    if (css[i] === '\\') i++;
    else if (css[i] === quote) return i + 1;
  }
  return css.length;
}

/**
 * The rules that stand at the top of a style sheet, each as it is written there, without the comments between them:
 * what `CSSStyleSheet.insertRule` takes one by one. In time that is linear in the length.
 *
 * @param css a style sheet that is well formed, as the delivered one is
 */
export function topRules(css: string): string[] {
  const rules: string[] = [];
  let [depth, from] = [0, 0];
  const close = (to: number): void => {
    const rule = css.slice(from, to).trim();
    if (rule) rules.push(rule);
    from = to;
  };
  for (let i = 0; i < css.length;) {
    const character = css[i];
    if (css.startsWith('/*', i)) {
      const end = after(css, '*/', i);
      if (depth === 0 && css.slice(from, i).trim() === '') from = end;
      i = end;
    } else if (character === '"' || character === "'") i = afterString(css, i);
    else {
      if (character === '{') depth++;
      else if (character === '}') depth--;
      i++;
      if (depth === 0 && (character === '}' || character === ';')) close(i);
    }
  }
  close(css.length);
  return rules;
}
