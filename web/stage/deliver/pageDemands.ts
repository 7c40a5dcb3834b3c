import { demandsOn, type Demands } from '@lettera/core/deliver/trying';
import type { ProjectDocument } from '@lettera/core/document';
import type { TypeRules } from '@lettera/core/page';
import { documentAtWidth } from '@lettera/core/style';
import { cascadeOf } from '../../proof/panel/pageCascade';
import { restingBetween } from '../../reader/breathe';
import { viewOf } from '../../reader/pageView';

/**
 * What the project's rules have to win over on a page that is shown, at the width that it has.
 * @throws Stopped when it is no longer wanted
 */
export async function pageDemands(
  document: ProjectDocument,
  page: Document,
  rules: TypeRules,
  stopped: () => boolean,
): Promise<Demands> {
  const at = documentAtWidth(document, page.defaultView?.innerWidth ?? Infinity);
  const all = cascadeOf(document, page, rules, { keepsAll: true });
  const cascade = await restingBetween(all, stopped);
  return restingBetween(demandsOn(at, cascade, rules, viewOf(page)), stopped);
}
