/** What opens font files: unpacking, reading, shaping. It brings a font parser and a shaper along. */
export { fontsIn } from './collection';
export { detectFormat, packAsWoff2, unpack, type FontFormat, type UnpackedFont } from './container';
export { readFace } from './reading';
export { Shaper } from './shape';
