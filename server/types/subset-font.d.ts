declare module 'subset-font' {
  interface Options {
    targetFormat?: 'sfnt' | 'woff' | 'woff2';
    keepAllGlyphs?: boolean;
    preserveNameIds?: number[];
    variationAxes?: Record<string, number | { min: number; max: number; default?: number }>;
  }
  export default function subsetFont(
    buffer: Uint8Array,
    text: string | undefined,
    options?: Options,
  ): Promise<Uint8Array<ArrayBuffer>>;
}
