import type { FacesHere } from '../store/proof';

/** Waiting for a file is said when it has lasted so long, milliseconds. */
export const LATE = 1000;

const nameOf = ({ family }: FontFace): string => family.replace(/^"|"$/g, '');

/**
 * Tells how it stands with the faces of a page, whenever that changes, as long as the page is there.
 * @param isWeb whether a family of that name is fetched; one that stands in for it may be missing on this machine
 */
export function watchFaces(
  page: Document,
  isWeb: (family: string) => boolean,
  tell: (faces: FacesHere) => void,
): void {
  const { fonts } = page;
  let lateness: ReturnType<typeof setTimeout> | undefined;
  const wait = (): void => {
    clearTimeout(lateness);
    lateness = setTimeout(() => tell('waiting'), LATE);
  };
  const settle = (): void => {
    clearTimeout(lateness);
    const failed = [...fonts].some((face) => face.status === 'error' && isWeb(nameOf(face)));
    tell(failed ? 'failed' : 'there');
  };
  fonts.addEventListener('loading', wait);
  fonts.addEventListener('loadingdone', settle);
  if (fonts.status === 'loading') wait();
  else settle();
}
