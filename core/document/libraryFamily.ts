/** A file of an outside library, as its index lists it. */
export interface LibraryFile {
  name: string;
  script: string;
  style: 'normal' | 'italic';
  weightMin: number;
  weightMax: number;
  bytes: number;
}

/** A family of an outside library: enough to show it and to count what it would cost. */
export interface LibraryFamily {
  id: string;
  name: string;
  /** The class that the library claims. */
  class: string;
  licence: string;
  scripts: string[];
  variable: boolean;
  files: LibraryFile[];
}

/** What is wanted of a family: which scripts, and which weights of each style. */
export interface Picks {
  scripts: string[];
  faces: { style: 'normal' | 'italic'; weight: number }[];
}
