import type { FaceClass } from './vocabulary';

/** A file of an outside library, as its index lists it. */
export interface LibraryFile {
  name: string;
  script: string;
  style: 'normal' | 'italic';
  weightMin: number;
  weightMax: number;
  bytes: number;
  sha256: string;
}

/** A family of an outside library: enough to show it and to count what it would cost. */
export interface LibraryFamily {
  id: string;
  name: string;
  /** The class that the library claims. */
  class: string;
  licence: string;
  scripts: string[];
  /** The script that it was drawn for, as the library says it; Latin when left out. */
  drawnFor?: string;
  variable: boolean;
  files: LibraryFile[];
}

/** A face as it is asked for. */
export interface WantedFace {
  style: 'normal' | 'italic';
  weight: number;
}

/** What is wanted of a family: which scripts, and which weights of each style. */
export interface Picks {
  scripts: string[];
  faces: WantedFace[];
}

/** A family that someone else's style sheet serves, and what is to stand in for it. */
export interface WantedReference {
  /** The exact name that the style sheet gives it. */
  name: string;
  stylesheet: string;
  class: FaceClass;
  /** `library/<id>` or `case/<key>`. */
  standIn: string;
  faces: WantedFace[];
}

/** A face of a library's family with its files, one a script. */
export interface LibraryFace {
  style: 'normal' | 'italic';
  weightMin: number;
  weightMax: number;
  files: LibraryFile[];
}

/** The files of a family as faces, in the order in which they are listed. */
export function libraryFaces({ files }: Pick<LibraryFamily, 'files'>): LibraryFace[] {
  const faces = new Map<string, LibraryFace>();
  for (const file of files) {
    const { style, weightMin, weightMax } = file;
    const key = `${style} ${weightMin} ${weightMax}`;
    const face = faces.get(key) ?? { style, weightMin, weightMax, files: [] };
    face.files.push(file);
    faces.set(key, face);
  }
  return [...faces.values()];
}
