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
import {
  caseFonts,
  deliveredFonts,
  shownFonts,
  uniquePaths,
  type DeliveredFont,
} from './delivered';
import { faceUses, type FaceUse } from './faceUse';
import { laterLetters, siteLetters } from './laterLetters';
import { featuresUsed } from './featuresUsed';
import { charactersOfCopy, neededCharacters } from './neededCharacters';
import { onceFor } from '../document/once';
import { SCRIPTS, scriptOf, type LettersTogether } from '../script';
import { servedRange } from '../style/served';
import { isMark, splitByScript } from './scripts';
import { waysOf, type Way } from './ways';

/** A file that the site loads: what it is made from, what it is cut to, its bytes, and what it is for. */
export interface PlannedFile extends DeliveredFont {
  /** Hash of the file as it was taken in. */
  source: string;
  /** Null when it is delivered as it was taken in. */
  cut: Cut | null;
  /** Of the file that is delivered; null until it has been made. */
  bytes: number | null;
  purpose: string;
  /** Whether it holds only letters that no page has yet: a page that comes later fetches it. */
  isLater?: boolean;
}

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

/** Every file that the site loads. The one source of files and bytes. */
export interface DeliveryPlan {
  files: readonly PlannedFile[];
  leftOut: readonly LeftOutFile[];
  /** Faces that no file is delivered of, since they are only to show where they are installed. */
  locals: readonly LocalFace[];
  /** Names of families that are delivered whole, since their files forbid being cut. */
  uncut: readonly string[];
  /** What has to be made before the plan is settled: what is delivered, and what that is compared with. */
  wanted: readonly { source: string; cut: Cut }[];
}

/** What the plan needs to know beyond the document. */
export interface DeliveryEvidence {
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
  /** Bytes of the files that have been made, by source and cut as `madeKey` has them. */
  made: Readonly<Record<string, number>>;
  /** Every character of the site's pages, each once. */
  copy: string;
  /** Languages that the pages say they are in, beside the project's. */
  languages?: readonly string[];
  /** Letters of its languages with scripts of many, in groups; none are known when left out. */
  together?: LettersTogether;
}

/** Ranges of files for later letters, worked out once for a document. */
const laterRanges = onceFor<ProjectDocument, Map<string, readonly string[]>>(() => new Map());

type Reading = DeliveryEvidence['readings'][string];

const weightsOf = ({ weightMin, weightMax }: Face): string =>
  weightMin === weightMax ? `${weightMin}` : `${weightMin} to ${weightMax}`;

const purposeOf = ({
  family,
  face,
  file,
}: Pick<DeliveredFont, 'family' | 'face' | 'file'>): string =>
  `${family.name} ${weightsOf(face)}${face.style === 'italic' ? ' italic' : ''}, ${file.script}`;

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

/** Files that are planned, each the way that weighs least. */
class PlannedFiles {
  readonly files: Omit<PlannedFile, 'path'>[] = [];
  readonly wanted = new Map<string, { source: string; cut: Cut }>();

  constructor(private readonly evidence: DeliveryEvidence) {}

  get plan(): Pick<DeliveryPlan, 'files' | 'wanted'> {
    return { files: uniquePaths(this.files), wanted: [...this.wanted.values()] };
  }

  readingOf(source: string): Reading | undefined {
    const { readings } = this.evidence;
    return Object.hasOwn(readings, source) ? readings[source] : undefined;
  }

  /** Plans a file as it was taken in, but for weights that its face was not taken in for. */
  addWhole(font: DeliveredFont): void {
    const reading = this.readingOf(font.file.sha256);
    if (!reading) return this.asItIs(font);
    if (embeddingRights(reading.fsType).forbidsSubsetting) return this.packed(font, reading);
    this.smallest(waysOf(font, reading, null, PACKED));
  }

  packed(font: DeliveredFont, { format }: Reading): void {
    const cut = format === 'woff2' ? null : PACKED;
    this.smallest([[{ ...font, source: font.file.sha256, cut }]]);
  }

  asItIs(font: DeliveredFont): void {
    this.smallest([[{ ...font, source: font.file.sha256, cut: null }]]);
  }

  /** Takes the way of least bytes; the first until all of them are known, and of two as small. */
  smallest(ways: readonly Way[], { isLater = false } = {}): void {
    const known = ways.map((way) => ({ way, bytes: way.map((file) => this.#bytesOf(file)) }));
    for (const { source, cut } of ways.flat()) {
      if (cut) this.wanted.set(madeKey(source, cut), { source, cut });
    }
    const settled = known.every(({ bytes }) => !bytes.includes(null));
    const best = settled
      ? known.reduce((least, one) => (sum(one.bytes) < sum(least.bytes) ? one : least))
      : known[0];
    best?.way.forEach((file, i) => {
      this.files.push({
        ...file,
        bytes: settled ? (best.bytes[i] ?? null) : null,
        purpose: isLater
          ? `${purposeOf(file)}: letters that pages may have later`
          : purposeOf(file),
        ...(isLater ? { isLater } : {}),
      });
    });
  }

  #bytesOf({ source, cut, file }: Way[number]): number | null {
    return cut ? (this.evidence.made[madeKey(source, cut)] ?? null) : file.bytes;
  }
}

/** Makes the plan of a document, family by family of the case. */
class Planner {
  readonly #files: PlannedFiles;
  readonly leftOut: LeftOutFile[] = [];
  readonly locals = new Map<Face, LocalFace & { names: string[] }>();
  readonly uncut = new Set<string>();
  readonly #features: string[] | null;
  /** Files of a face, by their hashes, that its others have all of. */
  readonly #spare = new Map<Face, ReadonlySet<string>>();

  constructor(
    private readonly document: ProjectDocument,
    private readonly evidence: DeliveryEvidence,
  ) {
    this.#files = new PlannedFiles(evidence);
    this.#features = document.delivery.features === 'used' ? featuresUsed(document) : null;
  }

  #known: { needed: ReadonlySet<number> | null } | null = null;
  /** What the site needs of its fonts, worked out where a file is to be cut to it. */
  get #needed(): ReadonlySet<number> | null {
    this.#known ??= { needed: neededCharacters(this.document, this.evidence) };
    return this.#known.needed;
  }

  get plan(): DeliveryPlan {
    return {
      ...this.#files.plan,
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
    const reading = this.#files.readingOf(file.sha256);
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
    if (!reading) return this.#files.asItIs(font);
    if (embeddingRights(reading.fsType).forbidsSubsetting) {
      this.uncut.add(family.name);
      return this.#files.packed(font, reading);
    }
    if (!needed) {
      this.#files.smallest(
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
      this.#files.smallest(waysOf(part, reading, limits, { characters, features: this.#features }));
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
      this.evidence.together,
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
    const { familyKey, family, file } = font;
    const scripts = largeScripts(this.document, familyKey);
    if (!reading || scripts.size === 0 || family.onlyFor !== undefined) return false;
    if (embeddingRights(reading.fsType).forbidsSubsetting) return false;
    const groups = this.#laterRanges(familyKey, file, reading.characters ?? null, wanted);
    groups.forEach((characters, i) => {
      const part = {
        ...font,
        file: { ...file, script: `${file.script}-${i + 2}`, unicodeRange: characters },
      };
      this.#files.smallest(
        waysOf(part, reading, limits, { characters, features: this.#features }),
        { isLater: true },
      );
    });
    return groups.length > 0;
  }

  /** What each file for later letters holds: it rests on the document and its letters, and not on what has been made. */
  #laterRanges(
    familyKey: string,
    { unicodeRange }: DeliveredFont['file'],
    characters: string | null,
    wanted: readonly number[],
  ): readonly string[] {
    const { together = {} } = this.evidence;
    const known = laterRanges(this.document);
    const key = JSON.stringify([
      familyKey,
      unicodeRange,
      characters,
      wanted,
      Object.keys(together),
    ]);
    const before = known.get(key);
    if (before) return before;
    const range = servedRange(this.document, familyKey, unicodeRange);
    const has = new Set(pointsOf(sharedUnicodeRange(range, characters)));
    const scripts = largeScripts(this.document, familyKey);
    const made = laterLetters(this.document, scripts, has, new Set(wanted), together).map(
      (points) => formatUnicodeRange(points),
    );
    known.set(key, made);
    return made;
  }

  /**
   * The characters of a file that the site needs: those that it is for, and marks on its letters, whichever file
   * libraries have them in, since a letter and its marks are drawn from one file or not at all.
   */
  #wantedOf({ familyKey, file }: DeliveredFont): number[] {
    const needed = charactersOfCopy(this.document, familyKey) ?? this.#needed ?? [];
    const own = this.#files.readingOf(file.sha256)?.characters ?? null;
    const has = withinUnicodeRange(
      own,
      withinUnicodeRange(servedRange(this.document, familyKey, file.unicodeRange), needed),
    );
    return file.unicodeRange === null || lettersIn(has).length === 0
      ? has
      : [...new Set([...has, ...marksOn(has, needed, own)])];
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
    const { fullName, postScriptName } = this.#files.readingOf(file.sha256) ?? {};
    const known = this.locals.get(face) ?? { family, face, names: [] };
    this.locals.set(face, known);
    const isRegular = face.style === 'normal' && face.weightMin <= 400 && face.weightMax >= 400;
    for (const name of [fullName, postScriptName, isRegular ? family.name : undefined]) {
      if (name && !known.names.includes(name)) known.names.push(name);
    }
  }
}

const sum = (bytes: readonly (number | null)[]): number =>
  bytes.reduce<number>((total, one) => total + (one ?? 0), 0);

/**
 * The files that a site loads from the bundle, each with what is done to it and what it is for: of each face
 * that the site's text elements ask for, the characters, weights and points on other axes that it needs.
 */
export function deliveryPlan(document: ProjectDocument, evidence: DeliveryEvidence): DeliveryPlan {
  const planner = new Planner(document, evidence);
  for (const font of deliveredFonts(document)) planner.add(font);
  for (const font of shownFonts(document)) if (font.family.localOnly) planner.addLocal(font);
  return planner.plan;
}

/** All of the case as it was taken in, in use or not: what each of its families would cost a site at most. */
export function casePlan(
  project: Pick<ProjectDocument, 'case'>,
  evidence: DeliveryEvidence,
): Pick<DeliveryPlan, 'files' | 'wanted'> {
  const planned = new PlannedFiles(evidence);
  for (const font of caseFonts(project)) planned.addWhole(font);
  return planned.plan;
}

/** The files that the site's pages fetch as they are. */
export const filesNow = ({ files }: Pick<DeliveryPlan, 'files'>): readonly PlannedFile[] =>
  files.filter(({ isLater }) => !isLater);

/** Bytes of all files together; null while one has not been made. */
export const totalBytes = (files: readonly Pick<PlannedFile, 'bytes'>[]): number | null =>
  files.reduce<number | null>(
    (total, { bytes }) => (total === null || bytes === null ? null : total + bytes),
    0,
  );
