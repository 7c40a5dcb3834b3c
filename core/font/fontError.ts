/** Why a file cannot be used as a font. Stable, for programs; the message is for people. */
export type FontErrorReason =
  | 'not-a-font'
  | 'collection'
  | 'outdated-format'
  | 'cut-short'
  | 'damaged'
  | 'table-missing'
  | 'no-characters';

/** Thrown by everything that reads fonts; `message` says in plain words what was wrong with the file. */
export class FontError extends Error {
  override readonly name = 'FontError';

  constructor(
    readonly reason: FontErrorReason,
    message: string,
  ) {
    super(message);
  }
}
