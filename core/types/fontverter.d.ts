declare module 'fontverter' {
  export type Format = 'sfnt' | 'woff' | 'woff2';
  const fontverter: {
    convert(
      buffer: Uint8Array,
      toFormat: Format,
      fromFormat?: string,
    ): Promise<Uint8Array<ArrayBuffer>>;
  };
  export default fontverter;
}
