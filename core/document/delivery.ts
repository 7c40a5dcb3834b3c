import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { LONGEST_COPY } from './case';
import { IsLayerName, IsSelector } from './cssValues';
import { MayBeLeftOut, MayBeNull, ValuesByKey } from './decorators';
import {
  FEATURES_KEPT,
  FONT_DISPLAYS,
  LETTERS_KEPT,
  RULE_WEIGHTS,
  SHEET_FORMS,
  SHEET_PLACES,
  type FeaturesKept,
  type FontDisplay,
  type LettersKept,
  type RuleWeight,
  type SheetForm,
  type SheetPlace,
} from './vocabulary';

const CUSTOM_PROPERTY = /^--[A-Za-z0-9_-]{1,100}$/;

/** What is delivered, and how. */
export class Delivery {
  /** Name of the cascade layer that holds the element rules, or null for none. */
  @MayBeNull()
  @IsLayerName()
  layer!: string | null;

  @IsIn(FONT_DISPLAYS)
  display!: FontDisplay;

  /** Whether the dark colours are delivered for visitors who prefer a dark ground. */
  @IsBoolean()
  dark!: boolean;

  /** What the style sheet holds; everything when left out. */
  @MayBeLeftOut()
  @IsIn(SHEET_FORMS)
  form?: SheetForm;

  /** How much weight its element rules carry; none when left out. */
  @MayBeLeftOut()
  @IsIn(RULE_WEIGHTS)
  weight?: RuleWeight;

  /** Where the style sheet is linked; before the site's own when left out. */
  @MayBeLeftOut()
  @IsIn(SHEET_PLACES)
  linked?: SheetPlace;

  /** Name of a cascade layer that the site's own style sheets are put into; none when left out. */
  @MayBeLeftOut()
  @IsLayerName()
  siteLayer?: string;

  /** Selectors of texts that are left to the site's own style sheets: no element rule meets them. */
  @MayBeLeftOut()
  @IsArray()
  @ArrayMaxSize(100)
  @ArrayUnique()
  @IsSelector({ each: true })
  leave?: string[];

  /** Selectors of grounds on which the site's own colours stay: no element rule gives text on them a colour. */
  @MayBeLeftOut()
  @IsArray()
  @ArrayMaxSize(200)
  @ArrayUnique()
  @IsSelector({ each: true })
  keepColoursOn?: string[];

  /** Whether the site's own colours stay where visitors prefer a dark ground. */
  @MayBeLeftOut()
  @IsBoolean()
  keepDarkColours?: boolean;

  /**
   * Whether what styles leave open is inherited, where browsers' own style sheets stand between, also where the style
   * sheet comes after the site's own: right where none of those has cascade layers.
   */
  @MayBeLeftOut()
  @IsBoolean()
  inheritOpen?: boolean;

  /** Names of custom properties that a style sheet of the site's own reads, each with the token it is to have. */
  @MayBeLeftOut()
  @ValuesByKey(
    (value) => typeof value === 'string' && CUSTOM_PROPERTY.test(value),
    'must be names of custom properties by names of custom properties, such as --body-font: --font-text',
    { key: CUSTOM_PROPERTY, most: 200 },
  )
  names?: Record<string, string>;

  /** What the names of its custom properties begin with; none when left out. */
  @MayBeLeftOut()
  @Matches(/^[a-z][a-z0-9]{0,19}(-[a-z0-9]{1,19}){0,2}$/, {
    message: 'must be small letters, figures and hyphens that begin with a letter, such as tl',
  })
  prefix?: string;

  /** What the font files hold; what the site needs when left out. */
  @MayBeLeftOut()
  @IsIn(LETTERS_KEPT)
  letters?: LettersKept;

  /** Characters that they hold besides what the languages and the pages need. */
  @MayBeLeftOut()
  @IsString()
  @MaxLength(LONGEST_COPY)
  alsoLetters?: string;

  /** Whether they hold the letters of names and loan words in Latin script; they do when left out. */
  @MayBeLeftOut()
  @IsBoolean()
  loanLetters?: boolean;

  /**
   * Whether letters of languages of many that no page has yet are in files of their own, which a page that comes later
   * fetches; they are when left out.
   */
  @MayBeLeftOut()
  @IsBoolean()
  laterLetters?: boolean;

  /** The layout features that they keep; all when left out. */
  @MayBeLeftOut()
  @IsIn(FEATURES_KEPT)
  features?: FeaturesKept;

  /** Whether there are files for bold inside italics and italics inside bold, which no element asks for alone. */
  @MayBeLeftOut()
  @IsBoolean()
  boldItalics?: boolean;

  /** Text elements that are seen first, whose files are fetched at once; body and first heading when left out. */
  @MayBeLeftOut()
  @IsArray()
  @ArrayMaxSize(10)
  @ArrayUnique()
  @IsString({ each: true })
  @MaxLength(80, { each: true })
  first?: string[];

  /** Where the site's visits are counted, by a script in the bundle; they are not when left out. */
  @MayBeLeftOut()
  @IsString()
  @MaxLength(300)
  @Matches(/^(https?:\/\/[\w.:[\]-]+)?\/[\w./~-]*$/, {
    message: 'must be an address such as https://count.example.org/type or /type',
  })
  visits?: string;

  /** What all font files together are to stay under, bytes. */
  @MayBeLeftOut()
  @IsInt()
  @Min(1)
  @Max(1e9)
  budget?: number;
}
