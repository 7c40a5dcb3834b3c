import { selectorTexts, subjectsOf } from '../css/selector';
import type { TextElement } from '../document/projectDocument';
import { PROPERTIES, PROPERTY_NAMES, type PropertyName } from '../document/property';

/** Controls, whose whole `font` browsers set, with their alignment and where their lines break. HTML §15.5. */
const CONTROLS = ['button', 'input', 'select', 'textarea', 'optgroup', 'option'];
/** What browsers centre. HTML §15.3.10. */
const CENTRED = ['caption', 'th'];
/** What browsers break in their own way. HTML §15.3.3. */
const PREFORMATTED = ['pre', 'listing', 'plaintext', 'xmp'];

const OF_CONTROLS: readonly PropertyName[] = [
  ...PROPERTY_NAMES.filter((name) => PROPERTIES[name].inFontShorthand),
  'alignment',
  'wrapping',
];

/** Properties that browsers' own style sheets set on an element of a name, so that it does not inherit them. */
function setOn(element: string): readonly PropertyName[] {
  if (CONTROLS.includes(element)) return OF_CONTROLS;
  if (CENTRED.includes(element)) return ['alignment'];
  return PREFORMATTED.includes(element) ? ['wrapping'] : [];
}

/** Properties that browsers' own style sheets set on what the selectors of a text element name. */
export function setByBrowsers({
  selectors,
}: Pick<TextElement, 'selectors'>): ReadonlySet<PropertyName> {
  const subjects = selectors.flatMap(selectorTexts).map((one) => subjectsOf(one).at(-1)?.element);
  return new Set(subjects.flatMap((element) => (element ? setOn(element) : [])));
}
