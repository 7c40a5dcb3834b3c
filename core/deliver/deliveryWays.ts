import {
  formatUnicodeRange,
  parseUnicodeRange,
  sharedUnicodeRange,
  withinUnicodeRange,
} from '../css/unicodeRange';
import type { Face, Family, ProjectDocument } from '../document/projectDocument';
import { embeddingRights } from '../font/embedding';
import type { FaceReading } from '../font/reading';
import { madeKey, PACKED, type Cut } from './cut';
import { caseFonts, deliveredFonts, shownFonts, type DeliveredFont } from './delivered';
import { faceUses, type FaceUse } from './faceUse';
import { laterLanguages, laterLetters, siteLetters } from './laterLetters';
import { lettersSet } from './lettersSet';
import { featuresUsed } from './featuresUsed';
import { charactersOfCopy, neededCharacters } from './neededCharacters';
import { SCRIPTS, scriptOf, type LettersTogether, type Script } from '../script';
import { servedRange } from '../style/served';
import { isMark, splitByScript } from './scripts';
import { waysOf, type Way } from './ways';

/** A file that was taken in and is not delivered, and why. */
export interface LeftOutFile extends DeliveredFont {
  why: 'unused-face' | 'no-characters' | 'held-by-others';
}

/** A face that shows only where visitors have it installed, and the names that it goes by there. */
export interface LocalFace {
  family: Family;
  face: Face;
  names: readonly string[];
}

/** What is known of fonts and of what pages are written with, whichever files have been made. */
export interface KnownFonts {
  /** Readings of the case's files by hash; a file without one is taken to be delivered as it is. */
  readings: Readonly<
    Record<
      string,
      Pick<FaceReading, 'format' | 'axes' | 'fsType'> & {
        /** As a `unicode-range`; left out by readings of an earlier version. */
        characters?: string;
        /** What the face is called where it is installed. */
        fullName?: string;
        postScriptName?: string;
      }
    >
  >;
  /** Every character of the site's pages, each once. */
  copy: string;
  /** Letters of scripts of many that pages have, by where they stand; without it each face is taken to set all of them. */
  within?: Readonly<Record<string, string>>;
  /** Languages that the pages say they are in, beside the project's. */
  languages?: readonly string[];
  /** Letters of its languages with scripts of many, in groups; none are known when left out. */
  together?: LettersTogether;
}

/** A file that the site loads, and the ways in which it may be made. */
export interface PlannedPart {
  ways: readonly Way[];
  isLater: boolean;
}

/** What a site may load, before of each file that way is taken which weighs least: nothing of it rests on bytes. */
export interface DeliveryWays {
  parts: readonly PlannedPart[];
  leftOut: readonly LeftOutFile[];
  /** Faces that no file is delivered of, since they are only to show where they are installed. */
  locals: readonly LocalFace[];
  /** Names of families that are delivered whole, since their files forbid being cut. */
  uncut: readonly string[];
  /** What has to be made before files can be taken: what may be delivered, and what that is compared with. */
  wanted: readonly { source: string; cut: Cut }[];
}

type Reading = KnownFonts['readings'][string];

/** Characters that a file is made for: a mark alone stands on no letter of another. */
const lettersIn = (codePoints: readonly number[]): number[] =>
  codePoints.filter((codePoint) => !isMark(String.fromCodePoint(codePoint)));

/**
 * Marks that stand on letters of a file: those of the needed that its font has, or that it draws joined with a
 * letter, as é of e and an acute. Unicode 16, §3.11.
 */
function marksOn(
  letters: readonly number[],
  needed: Iterable<number>,
  own: string | null,
): number[] {
  const marks = [...needed].filter((codePoint) => isMark(String.fromCodePoint(codePoint)));
  if (marks.length === 0) return [];
  const joined = new Set(
    letters.flatMap((codePoint) =>
      [...String.fromCodePoint(codePoint).normalize('NFD')].map((one) => one.codePointAt(0)),
    ),
  );
  const drawn = new Set(withinUnicodeRange(own, marks));
  return marks.filter((mark) => (own !== null && drawn.has(mark)) || joined.has(mark));
}

/** Scripts of many letters that a family is seated for, or has as a voice's own. */
const largeScripts = ({ voices }: ProjectDocument, familyKey: string): ReadonlySet<string> =>
  new Set(
    Object.values(voices).flatMap(({ family, scripts = {} }) => [
      ...Object.entries(scripts).flatMap(([key, seat]) =>
        seat.family === familyKey && scriptOf(key)?.large ? [key] : [],
      ),
      ...(family === familyKey
        ? SCRIPTS.filter(({ key, large }) => large && !scripts[key]).map(({ key }) => key)
        : []),
    ]),
  );

const pointsOf = (range: string): number[] =>
  range === ''
    ? []
    : parseUnicodeRange(range).flatMap(([from, to]) =>
        Array.from({ length: to - from + 1 }, (_, i) => from + i),
      );

/** Files that are planned, each with the ways in which it may be made. */
class PlannedParts {
  readonly parts: PlannedPart[] = [];
  readonly wanted = new Map<string, { source: string; cut: Cut }>();

  constructor(private readonly known: KnownFonts) {}

  readingOf(source: string): Reading | undefined {
    const { readings } = this.known;
    return Object.hasOwn(readings, source) ? readings[source] : undefined;
  }

  /** Plans a file as it was taken in, but for weights that its face was not taken in for. */
  addWhole(font: DeliveredFont): void {
    const reading = this.readingOf(font.file.sha256);
    if (!reading) return this.asItIs(font);
    if (embeddingRights(reading.fsType).forbidsSubsetting) return this.packed(font, reading);
    this.add(waysOf(font, reading, null, PACKED));
  }

  packed(font: DeliveredFont, { format }: Reading): void {
    const cut = format === 'woff2' ? null : PACKED;
    this.add([[{ ...font, source: font.file.sha256, cut }]]);
  }

  asItIs(font: DeliveredFont): void {
    this.add([[{ ...font, source: font.file.sha256, cut: null }]]);
  }

  add(ways: readonly Way[], { isLater = false } = {}): void {
    for (const { source, cut } of ways.flat()) {
      if (cut) this.wanted.set(madeKey(source, cut), { source, cut });
    }
    this.parts.push({ ways, isLater });
  }
}

/** Makes the plan of a document, family by family of the case. */
class Planner {
  readonly #parts: PlannedParts;
  readonly leftOut: LeftOutFile[] = [];
  readonly locals = new Map<Face, LocalFace & { names: string[] }>();
  readonly uncut = new Set<string>();
  readonly #features: string[] | null;
  /** What faces need of the site's letters. */
  readonly #own = new Map<Face, ReadonlySet<number>>();
  /** Files of a face, by their hashes, that its others have all of. */
  readonly #spare = new Map<Face, ReadonlySet<string>>();

  constructor(
    private readonly document: ProjectDocument,
    private readonly known: KnownFonts,
  ) {
    this.#parts = new PlannedParts(known);
    this.#features = document.delivery.features === 'used' ? featuresUsed(document) : null;
  }

  #read: { needed: ReadonlySet<number> | null } | null = null;
  /** What the site needs of its fonts, worked out where a file is to be cut to it. */
  get #needed(): ReadonlySet<number> | null {
    this.#read ??= { needed: neededCharacters(this.document, this.known) };
    return this.#read.needed;
  }

  get ways(): DeliveryWays {
    return {
      parts: this.#parts.parts,
      wanted: [...this.#parts.wanted.values()],
      leftOut: this.leftOut,
      locals: [...this.locals.values()],
      uncut: [...this.uncut],
    };
  }

  /** Plans a file for what the site needs of it. */
  add(font: DeliveredFont): void {
    const { letters = 'needed' } = this.document.delivery;
    const { familyKey, family, face, file } = font;
    const use = faceUses(this.document).get(face) ?? null;
    if (letters === 'needed' && !use) {
      this.leftOut.push({ ...font, why: 'unused-face' });
      return;
    }
    const reading = this.#parts.readingOf(file.sha256);
    const needed = charactersOfCopy(this.document, familyKey) ?? this.#needed;
    const wanted = this.#wantedOf(font);
    const limits = letters === 'needed' ? use : null;
    if (needed && lettersIn(wanted).length === 0) {
      if (!this.#addLater(font, reading, limits, wanted))
        this.leftOut.push({ ...font, why: 'no-characters' });
      return;
    }
    if (needed && this.#isHeldByOthers(font)) {
      this.leftOut.push({ ...font, why: 'held-by-others' });
      return;
    }
    if (!reading) return this.#parts.asItIs(font);
    if (embeddingRights(reading.fsType).forbidsSubsetting) {
      this.uncut.add(family.name);
      return this.#parts.packed(font, reading);
    }
    if (!needed) {
      this.#parts.add(
        waysOf(font, reading, limits, { characters: null, features: this.#features }),
      );
      return;
    }
    const parts =
      file.unicodeRange === null
        ? splitByScript(wanted)
        : [{ script: file.script, unicodeRange: formatUnicodeRange(wanted) }];
    for (const { script, unicodeRange } of parts.flatMap((one) => this.#parted(one, familyKey))) {
      const name =
        parts.length > 1 ? script : script.startsWith(`${file.script}-`) ? script : file.script;
      const part = { ...font, file: { ...file, script: name, unicodeRange } };
      // Where it has no other, there is none to leave out.
      const characters = unicodeRange === reading.characters ? null : unicodeRange;
      this.#parts.add(waysOf(part, reading, limits, { characters, features: this.#features }));
    }
    this.#addLater(font, reading, limits, wanted);
  }

  /** A part as it is, or where it has more letters of a script of many than a page should fetch, in several. */
  #parted(
    part: { script: string; unicodeRange: string },
    familyKey: string,
  ): { script: string; unicodeRange: string }[] {
    const large = [...largeScripts(this.document, familyKey)].flatMap((key) => scriptOf(key) ?? []);
    const isOfMany = (point: number) =>
      large.some(({ has }) => has.test(String.fromCodePoint(point)));
    const points = large.length > 0 ? pointsOf(part.unicodeRange) : [];
    const [first = [], ...more] = siteLetters(
      points.filter(isOfMany),
      this.document.languages,
      this.known.together,
    );
    if (more.length === 0) return [part];
    // Letters that may be joined with one another, and marks, stay in one file.
    const groups = [[...points.filter((point) => !isOfMany(point)), ...first], ...more];
    return groups.map((group, i) => ({
      script: i === 0 ? part.script : `${part.script}-site-${i + 1}`,
      unicodeRange: formatUnicodeRange(group),
    }));
  }

  /**
   * Plans files for letters of a script of many that pages may have later, which none has now.
   * @returns whether there are any
   */
  #addLater(
    font: DeliveredFont,
    reading: Reading | undefined,
    limits: FaceUse | null,
    wanted: readonly number[],
  ): boolean {
    const { familyKey, file } = font;
    const scripts = this.#laterScripts(font);
    if (!reading || scripts.length === 0) return false;
    const range = servedRange(this.document, familyKey, file.unicodeRange);
    const groups = laterLetters(
      this.document,
      new Set(scripts.map(({ key }) => key)),
      new Set(pointsOf(sharedUnicodeRange(range, reading.characters ?? null))),
      new Set(wanted),
      this.known.together,
    );
    groups.forEach((points, i) => {
      const characters = formatUnicodeRange(points);
      const part = {
        ...font,
        file: { ...file, script: `${file.script}-${i + 2}`, unicodeRange: characters },
      };
      this.#parts.add(waysOf(part, reading, limits, { characters, features: this.#features }), {
        isLater: true,
      });
    });
    return groups.length > 0;
  }

  /**
   * The characters of a file that the site needs: those that it is for, and marks on its letters, whichever file
   * libraries have them in, since a letter and its marks are drawn from one file or not at all.
   */
  #wantedOf(font: DeliveredFont): number[] {
    const { familyKey, file } = font;
    const needed = charactersOfCopy(this.document, familyKey) ?? this.#neededOf(font) ?? [];
    const own = this.#parts.readingOf(file.sha256)?.characters ?? null;
    const has = withinUnicodeRange(
      own,
      withinUnicodeRange(servedRange(this.document, familyKey, file.unicodeRange), needed),
    );
    return file.unicodeRange === null || lettersIn(has).length === 0
      ? has
      : [...new Set([...has, ...marksOn(has, needed, own)])];
  }

  /**
   * What the site needs of a font: of scripts of many, where files for later letters hold the rest, what stands where
   * its face may set it.
   */
  #neededOf(font: DeliveredFont): ReadonlySet<number> | null {
    const needed = this.#needed;
    const large = needed ? this.#laterScripts(font) : [];
    if (!needed || large.length === 0) return needed;
    let own = this.#own.get(font.face);
    if (!own) {
      const set = lettersSet(this.document, font, this.known.within);
      own = set
        ? new Set(
            [...needed].filter((point) => {
              const letter = String.fromCodePoint(point);
              return set.has(letter) || !large.some(({ has }) => has.test(letter));
            }),
          )
        : needed;
      this.#own.set(font.face, own);
    }
    return own;
  }

  /** Scripts of many whose letters that no page has of a font come in files of their own; none where it may not be cut. */
  #laterScripts({ familyKey, family, file }: DeliveredFont): readonly Script[] {
    const reading = this.#parts.readingOf(file.sha256);
    if (!reading || family.onlyFor !== undefined) return [];
    if (embeddingRights(reading.fsType).forbidsSubsetting) return [];
    const large = largeScripts(this.document, familyKey);
    return laterLanguages(this.document, large).map(({ script }) => script);
  }

  /** Whether other files of its face have all that the site needs of a file: of two that do, one stays. */
  #isHeldByOthers({ familyKey, family, face, file, ...font }: DeliveredFont): boolean {
    const known = this.#spare.get(face);
    if (known) return known.has(file.sha256);
    const letters = new Map(
      face.files.map((one) => [
        one.sha256,
        lettersIn(this.#wantedOf({ ...font, familyKey, family, face, file: one })),
      ]),
    );
    const spare = new Set<string>();
    const fewestFirst = [...letters].sort(([, a], [, b]) => a.length - b.length);
    for (const [sha256, points] of fewestFirst) {
      const others = new Set(
        [...letters].flatMap(([other, held]) => (other === sha256 || spare.has(other) ? [] : held)),
      );
      if (points.length > 0 && points.every((codePoint) => others.has(codePoint)))
        spare.add(sha256);
    }
    this.#spare.set(face, spare);
    return spare.has(file.sha256);
  }

  /** Plans a face to show where visitors have it installed, if a text element asks for it. */
  addLocal({ family, face, file }: DeliveredFont): void {
    if (!faceUses(this.document).has(face)) return;
    const { fullName, postScriptName } = this.#parts.readingOf(file.sha256) ?? {};
    const known = this.locals.get(face) ?? { family, face, names: [] };
    this.locals.set(face, known);
    const isRegular = face.style === 'normal' && face.weightMin <= 400 && face.weightMax >= 400;
    for (const name of [fullName, postScriptName, isRegular ? family.name : undefined]) {
      if (name && !known.names.includes(name)) known.names.push(name);
    }
  }
}

/**
 * The ways in which the files that a site loads may be made: of each face that the site's text elements ask for, the
 * characters, weights and points on other axes that it needs.
 */
export function deliveryWays(document: ProjectDocument, known: KnownFonts): DeliveryWays {
  const planner = new Planner(document, known);
  for (const font of deliveredFonts(document)) planner.add(font);
  for (const font of shownFonts(document)) if (font.family.localOnly) planner.addLocal(font);
  return planner.ways;
}

/** The ways in which all files of a case may be packed as they were taken in. */
export function caseWays(
  project: Pick<ProjectDocument, 'case'>,
  known: KnownFonts,
): Pick<DeliveryWays, 'parts' | 'wanted'> {
  const planned = new PlannedParts(known);
  for (const font of caseFonts(project)) planned.addWhole(font);
  return { parts: planned.parts, wanted: [...planned.wanted.values()] };
}
