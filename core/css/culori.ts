/**
 * What is used of the library of colours: its functions, with the colour spaces that CSS has and no others, so that
 * a page does not load what no colour of CSS needs.
 */
import 'culori/css';

export {
  blend,
  clampChroma,
  clampRgb,
  converter,
  differenceCiede2000,
  formatCss,
  formatHex,
  formatHex8,
  formatRgb,
  inGamut,
  parse,
  wcagLuminance,
  type Color,
} from 'culori/fn';
