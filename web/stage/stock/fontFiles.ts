import type { StockFamily } from '@lettera/core/stock';

/** Addresses of the font files of a family that its pages brought along, each once. */
export const fontFilesOf = ({ faces }: StockFamily): string[] => [
  ...new Set(faces.flatMap(({ file, state }) => (file && state !== 'failed' ? [file] : []))),
];
