import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
} from 'class-validator';
import { IsName, IsUnicodeRange } from './cssValues';
import { MayBeLeftOut, MayBeNull, Part, PartList } from './decorators';
import { Placed } from './placed';
import {
  FACE_CLASSES,
  FONT_DISPLAYS,
  SLANTS,
  type FaceClass,
  type FontDisplay,
  type Slant,
} from './vocabulary';

/** The families taken into a project. */

const SHA256 = /^[0-9a-f]{64}$/;

/** Most characters of copy that font files are cut to. */
export const LONGEST_COPY = 5000;

/** One file of a face, as it was taken in: all of its characters, or one script's share of them. */
export class FaceFile {
  /** The file that was taken in, which the store keeps under this hash. */
  @Matches(SHA256, { message: 'must be a SHA-256 hash in hexadecimal' })
  sha256!: string;

  /** The script it covers in the library's terms (`latin`, `greek` …), or `all`. */
  @Matches(/^[a-z]+(-[a-z]+)*$/)
  script!: string;

  /** CSS `unicode-range`, or null for every character the file has. */
  @MayBeNull()
  @IsUnicodeRange()
  unicodeRange!: string | null;

  /** Bytes of the file as it was taken in; what is delivered may be less. */
  @IsInt()
  @Min(1)
  bytes!: number;
}

/** A line's box that a face is pinned to on every platform, in em; `descent` is negative. */
export class PinnedLine {
  @IsNumber()
  @Min(0)
  @Max(10)
  ascent!: number;

  @IsNumber()
  @Min(-10)
  @Max(0)
  descent!: number;

  @IsNumber()
  @Min(0)
  @Max(10)
  lineGap!: number;
}

/** A face of a family: one style at one weight and width, or over a range of them when variable. */
export class Face {
  @IsIn(SLANTS)
  style!: Slant;

  @IsInt()
  @Min(1)
  @Max(1000)
  weightMin!: number;

  @IsInt()
  @Min(1)
  @Max(1000)
  weightMax!: number;

  /** Percent of the normal width; 100 when left out. */
  @MayBeLeftOut()
  @IsNumber()
  @Min(1)
  @Max(1000)
  widthMin?: number;

  @MayBeLeftOut()
  @IsNumber()
  @Min(1)
  @Max(1000)
  widthMax?: number;

  /** Line metrics delivered with the face, where platforms would take different ones from its file. */
  @MayBeLeftOut()
  @Part(() => PinnedLine)
  pinned?: PinnedLine;

  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(40)
  @PartList(() => FaceFile)
  files!: FaceFile[];
}

/**
 * Where a family is served from that may not be hosted here. Its faces hold the files of a look-alike
 * that stands in for it on the proof; the look-alike is never delivered.
 */
export class Reference {
  /** Address of the style sheet that serves it. */
  @Matches(/^https:\/\/[^\s"'<>\\]{3,2000}$/, {
    message: 'must be an address that begins with https://',
  })
  stylesheet!: string;

  /** Name of the family that stands in. */
  @IsName(300)
  standIn!: string;
}

/** A family added to the case. */
export class Family extends Placed {
  /** The name that the family itself goes by. */
  @IsName(300)
  name!: string;

  /** Another name that the site's CSS knows it by, under which it is delivered. */
  @MayBeLeftOut()
  @IsName(300)
  alias?: string;

  /** The class that the library or the file claims. */
  @IsIn(FACE_CLASSES)
  class!: FaceClass;

  /** Where it came from. */
  @IsIn(['foundry', 'files', 'reference'])
  source!: 'foundry' | 'files' | 'reference';

  /** How its faces go about the wait and the swap; as the delivery has it when left out. */
  @MayBeLeftOut()
  @IsIn(FONT_DISPLAYS)
  display?: FontDisplay;

  /** The only copy that it sets on the site, whose characters its files are cut to; all that the site needs when left out. */
  @MayBeLeftOut()
  @IsString()
  @MinLength(1)
  @MaxLength(LONGEST_COPY)
  onlyFor?: string;

  /** Whether it shows only where visitors have it installed: no file of it is delivered. */
  @MayBeLeftOut()
  @IsBoolean()
  localOnly?: boolean;

  /** Of a family by reference: who serves it, and what stands in for it. */
  @MayBeLeftOut()
  @Part(() => Reference)
  reference?: Reference;

  /** The licence's short name, where the source tells it. */
  @MayBeNull()
  @IsString()
  @MaxLength(200)
  licence!: string | null;

  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(200)
  @PartList(() => Face)
  faces!: Face[];
}
