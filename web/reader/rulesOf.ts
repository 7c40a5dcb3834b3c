/** The rules of a style sheet; null for one of another host, or that did not come, which may not be read. */
export function rulesOf(sheet: CSSStyleSheet): CSSRuleList | null {
  try {
    return sheet.cssRules;
  } catch {
    return null;
  }
}
