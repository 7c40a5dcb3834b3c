/** The most that all files of a bundle may weigh together, bytes: some hundred times what a site should load. */
export const MOST_BUNDLE_BYTES = 64 * 1024 * 1024;

const megabytes = (bytes: number): string => `${(bytes / 1024 / 1024).toFixed(1)} MB`;

/** Why a bundle of so many bytes is not made, and what to do; null for one that is. */
export const bundleFault = (bytes: number): string | null =>
  bytes <= MOST_BUNDLE_BYTES
    ? null
    : `The bundle would be ${megabytes(bytes)}, and ${megabytes(MOST_BUNDLE_BYTES)} is the most. Remove faces from the case, or let the files hold only what the site needs. Nothing was changed.`;
