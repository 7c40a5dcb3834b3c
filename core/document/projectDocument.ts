import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  Equals,
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
} from 'class-validator';
import {
  IsKeyOrKeys,
  KEY,
  LONGEST_KEY,
  MayBeLeftOut,
  MayBeNull,
  Part,
  PartList,
  PartsByKey,
  ValuesByKey,
} from './decorators';
import { SCRIPT_KEYS } from '../script';
import { IsCssColour, IsName, IsSelector } from './cssValues';
import type { PropertyValues } from './property';
import { Family } from './case';
import { Delivery } from './delivery';
import { LanguageSetting } from './languageSetting';
import { OCCASION_KEYS } from './occasion';
import { Placed } from './placed';
import { Scale } from './scale';
import { Print, SiteWidth } from './siteWidth';
import { StyleProperties } from './styleProperties';
import { GENERICS, type Generic } from './vocabulary';

export { Face, FaceFile, Family, PinnedLine, Reference } from './case';
export { Delivery } from './delivery';
export { EMPHASES, LANGUAGE_BOUNDS, LanguageSetting, type Emphasis } from './languageSetting';
export { Print, SiteWidth } from './siteWidth';

/** The document's own format; raised when its shape changes. */
export const DOCUMENT_FORMAT = 1;

const LANGUAGE = /^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$/;
const LANGUAGE_KEY = /^[a-z]{2,3}(-[a-z0-9]{2,8})*$/;

/** Most local fonts, and most plain names, of a stack. */
export const MOST_FALLBACKS = 12;
/** Languages of a site. */
export const MOST_LANGUAGES = 30;

/** How the fallback faces of a voice are tuned, by method and by limit. */
export class VoiceFitting {
  /** Most groups of letters; one is one ratio for all. */
  @MayBeLeftOut()
  @IsInt()
  @Min(1)
  @Max(6)
  groups?: number;

  /** How far the ratio of a letter may depart from the rest, as a share of it. */
  @MayBeLeftOut()
  @IsNumber()
  @Min(0)
  @Max(0.5)
  evenness?: number;

  /** The mean error of words that is near enough, as a share of their width. */
  @MayBeLeftOut()
  @IsNumber()
  @Min(0)
  @Max(0.2)
  target?: number;

  /** Whether the space has a face of its own. */
  @MayBeLeftOut()
  @IsBoolean()
  space?: boolean;
}

/** Shares of a site's visits by platform, per cent. Their sum counts as the whole. */
export class AudienceShares {
  @MayBeLeftOut()
  @IsNumber()
  @Min(0)
  @Max(100)
  windows?: number;

  @MayBeLeftOut()
  @IsNumber()
  @Min(0)
  @Max(100)
  macos?: number;

  @MayBeLeftOut()
  @IsNumber()
  @Min(0)
  @Max(100)
  ios?: number;

  @MayBeLeftOut()
  @IsNumber()
  @Min(0)
  @Max(100)
  android?: number;

  @MayBeLeftOut()
  @IsNumber()
  @Min(0)
  @Max(100)
  chromeos?: number;

  @MayBeLeftOut()
  @IsNumber()
  @Min(0)
  @Max(100)
  linux?: number;
}

/** How much larger or smaller than its own size a family can be set beside another. */
export const SEAT_SIZES = [0.4, 2.5] as const;

/** A further family of a voice, which serves one script of the site's. */
export class ScriptSeat {
  /** The key of a family in the case. */
  @IsString()
  family!: string;

  /** How many times the text's size it is set at, so that it looks as large as the voice's own family. */
  @IsNumber()
  @Min(SEAT_SIZES[0])
  @Max(SEAT_SIZES[1])
  size!: number;

  /** The generic family that ends its stack; the voice's when left out. */
  @MayBeLeftOut()
  @IsIn(GENERICS)
  generic?: Generic;

  /** Keys of the local fonts that fallback faces are made over, first to last; those proposed when left out. */
  @MayBeLeftOut()
  @IsKeyOrKeys(MOST_FALLBACKS)
  fallback?: string[];
}

/** A named seat for a family. Styles name a voice, never a family. */
export class Voice extends Placed {
  @IsName(60)
  name!: string;

  /** The key of a family in the case, or null while the seat is empty. */
  @MayBeNull()
  @IsString()
  family!: string | null;

  /** The generic family that ends the stack. */
  @IsIn(GENERICS)
  generic!: Generic;

  /**
   * Keys of the local fonts that fallback faces are made over, first to last; null takes those that Lettera
   * proposes. A key alone stands for a list of one.
   */
  @MayBeNull()
  @IsKeyOrKeys(MOST_FALLBACKS)
  fallback!: string | string[] | null;

  /** Plain names of fonts before the generic; those of the local fonts when left out. */
  @MayBeLeftOut()
  @IsArray()
  @ArrayMaxSize(MOST_FALLBACKS)
  @IsName(100, { each: true })
  plain?: string[];

  /** How fallback faces are tuned; what is left out goes by what the voice is for. */
  @MayBeLeftOut()
  @Part(() => VoiceFitting)
  fitting?: VoiceFitting;

  /** Its further families, by the script that each serves. */
  @MayBeLeftOut()
  @PartsByKey(() => ScriptSeat, { most: SCRIPT_KEYS.length })
  scripts?: Record<string, ScriptSeat>;
}

/** Most widths at which a site is laid out otherwise. */
export const MOST_WIDTHS = 12;
/** Most occasions, widths and languages that a style differs at: all that there are. */
const MOST_OCCASIONS = MOST_WIDTHS + OCCASION_KEYS.length + MOST_LANGUAGES;

/** A named bundle of type properties. */
export class TextStyle extends Placed {
  @IsName(60)
  name!: string;

  /** Key of the style it follows in what it does not set, or null. */
  @MayBeNull()
  @IsString()
  follows!: string | null;

  @Part(() => StyleProperties)
  set!: PropertyValues;

  /** What it sets otherwise on narrow screens. Seldom needed, since sizes are fluid. */
  @MayBeLeftOut()
  @Part(() => StyleProperties)
  narrow?: PropertyValues;

  /** What it sets otherwise on an occasion, at a width of the site's or in a language, by its key. */
  @MayBeLeftOut()
  @PartsByKey(() => StyleProperties, { most: MOST_OCCASIONS })
  at?: Record<string, PropertyValues>;
}

/** A kind of text on the site, and the style it is given. */
export class TextElement extends Placed {
  @IsName(60)
  name!: string;

  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(40)
  @IsSelector({ each: true })
  selectors!: string[];

  /** Key of a text style. */
  @IsString()
  style!: string;

  /** Key of the element whose text it stands in, or null for the body. */
  @MayBeNull()
  @IsString()
  parent!: string | null;

  /** Whether its rule says `!important`, so that rules of a site's own that do not lose; not when left out. */
  @MayBeLeftOut()
  @IsBoolean()
  important?: boolean;

  /**
   * What its rule weighs: its selectors' own, and so many ids and classes more. As the delivery has it when left out.
   */
  @MayBeLeftOut()
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(2)
  @IsInt({ each: true })
  @Min(0, { each: true })
  @Max(20, { each: true })
  weight?: readonly [ids: number, classes: number];
}

export class Colour extends Placed {
  @IsName(60)
  name!: string;

  @IsCssColour()
  light!: string;

  @IsCssColour()
  dark!: string;
}

/** Where a family stands: in the library, or in the case. */
const PLACE = /^(library|case)\/[a-z0-9][a-z0-9-]{0,79}$/;
const PLACE_MESSAGE = 'must be names such as library/literata or case/literata';

/** A pair, or a set of three, kept aside to be compared with others. */
export class Contender {
  @Matches(PLACE, { message: PLACE_MESSAGE })
  heading!: string;

  @MayBeLeftOut()
  @Matches(PLACE, { message: PLACE_MESSAGE })
  subheading?: string;

  @Matches(PLACE, { message: PLACE_MESSAGE })
  text!: string;
}

/** The voices that Pair works with, by the part each plays. */
export class PairVoices {
  @Matches(KEY, { message: 'must be the key of a voice' })
  @MaxLength(LONGEST_KEY)
  heading!: string;

  @MayBeLeftOut()
  @Matches(KEY, { message: 'must be the key of a voice' })
  @MaxLength(LONGEST_KEY)
  subheading?: string;

  @Matches(KEY, { message: 'must be the key of a voice' })
  @MaxLength(LONGEST_KEY)
  text!: string;
}

/** A page of the site's own, on which it is proofed. What it holds was read when it was added. */
export class SitePage extends Placed {
  @IsName(120)
  name!: string;

  /** What it was brought in with: SHA-256 of all those files. */
  @Matches(/^[0-9a-f]{64}$/, { message: 'must be the SHA-256 of files that were added' })
  site!: string;

  /** Its path among them. */
  @IsName(500)
  path!: string;
}

/** Most texts of one page that are typed over, and characters of one. */
const MOST_TYPED = 2000;
const LONGEST_TYPED = 20_000;

/** Text that stands on a page in place of the page's own. */
export class TypedTexts {
  /** By the number of the text on the page, from 0: of all runs of text that are not blank. */
  @ValuesByKey(
    (value) => typeof value === 'string' && value.length <= LONGEST_TYPED,
    `must be texts of at most ${LONGEST_TYPED} characters by their number`,
    { key: /^\d{1,6}$/, most: MOST_TYPED },
  )
  texts!: Record<string, string>;
}

/** Most pairs kept aside: more cannot be told apart by going back and forth. */
export const MOST_CONTENDERS = 4;

/** Most entries of each part that is kept by key. */
export const MOST_PARTS = {
  case: 60,
  voices: 12,
  colours: 60,
  styles: 1000,
  elements: 2000,
  pages: 200,
} as const;

/** Everything a project decides about the typography of its site. */
export class ProjectDocument {
  @Equals(DOCUMENT_FORMAT)
  format!: typeof DOCUMENT_FORMAT;

  @IsName(120)
  name!: string;

  /** BCP 47 language tags. */
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_LANGUAGES)
  @Matches(LANGUAGE, { each: true, message: 'must be BCP 47 language tags' })
  languages!: string[];

  /** How text in some of them is set otherwise, by the tag in small letters. */
  @MayBeLeftOut()
  @PartsByKey(() => LanguageSetting, { key: LANGUAGE_KEY, most: MOST_LANGUAGES })
  byLanguage?: Record<string, LanguageSetting>;

  /** What the line-up sets in every face. */
  @IsName(400)
  words!: string;

  @PartsByKey(() => Family, { most: MOST_PARTS.case })
  case!: Record<string, Family>;

  /** Families set aside to be paired: `library/<id>` or `case/<key>`. */
  @MayBeLeftOut()
  @IsArray()
  @ArrayMaxSize(200)
  @ArrayUnique()
  @Matches(PLACE, { each: true, message: PLACE_MESSAGE })
  shortlist?: string[];

  /** Pairs kept aside, each by where its families stand. */
  @MayBeLeftOut()
  @IsArray()
  @ArrayMaxSize(MOST_CONTENDERS)
  @PartList(() => Contender)
  contenders?: Contender[];

  /** The voices that are paired; those named heading and text when left out. */
  @MayBeLeftOut()
  @Part(() => PairVoices)
  pair?: PairVoices;

  /** Who visits the site; Lettera's own mix when left out. */
  @MayBeLeftOut()
  @Part(() => AudienceShares)
  audience?: AudienceShares;

  @PartsByKey(() => Voice, { most: MOST_PARTS.voices })
  voices!: Record<string, Voice>;

  @Part(() => Scale)
  scale!: Scale;

  @PartsByKey(() => Colour, { most: MOST_PARTS.colours })
  colours!: Record<string, Colour>;

  /** Viewport width under which styles are set as for narrow screens, CSS px; 600 when left out. */
  @MayBeLeftOut()
  @IsInt()
  @Min(240)
  @Max(2560)
  narrowBelow?: number;

  /** Widths at which the site is laid out otherwise, by the key that styles name them by. */
  @MayBeLeftOut()
  @PartsByKey(() => SiteWidth, { most: MOST_WIDTHS })
  widths?: Record<string, SiteWidth>;

  /** How pages are printed; as they are on the screen when left out. */
  @MayBeLeftOut()
  @Part(() => Print)
  print?: Print;

  @PartsByKey(() => TextStyle, { most: MOST_PARTS.styles })
  styles!: Record<string, TextStyle>;

  @PartsByKey(() => TextElement, { most: MOST_PARTS.elements })
  elements!: Record<string, TextElement>;

  /** Pages of the site's own; it is proofed on those that came with the project as well. */
  @MayBeLeftOut()
  @PartsByKey(() => SitePage, { most: MOST_PARTS.pages })
  pages?: Record<string, SitePage>;

  /** Text typed into pages, by the page's key. */
  @MayBeLeftOut()
  @PartsByKey(() => TypedTexts, { most: MOST_PARTS.pages })
  typed?: Record<string, TypedTexts>;

  /** Why marks are set aside, by what each is: its rule and what it is about. */
  @MayBeLeftOut()
  @ValuesByKey(
    (value) => typeof value === 'string' && value.trim() !== '' && value.length <= 200,
    'must be reasons of 1 to 200 characters by the mark’s rule and subject',
    { key: /^[a-z-]{1,40}:[a-z0-9-]{0,64}(:[a-z0-9-]{1,80}){0,2}$/, most: 500 },
  )
  aside?: Record<string, string>;

  @Part(() => Delivery)
  delivery!: Delivery;
}
