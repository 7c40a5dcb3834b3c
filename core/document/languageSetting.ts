import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsNumber,
  IsString,
  Max,
  MaxLength,
  Min,
  MinLength,
} from 'class-validator';
import { MayBeLeftOut } from './decorators';

/** What stands for italics in a language. */
export const EMPHASES = ['italic', 'weight', 'dots', 'none'] as const;
export type Emphasis = (typeof EMPHASES)[number];

/** Bounds of what multiplies a style's own value. */
export const LANGUAGE_BOUNDS = {
  lineHeight: [0.6, 2],
  size: [0.6, 1.6],
  measure: [0.3, 2],
} as const;

/** How text in a language is set otherwise. What is left out goes by its script. */
export class LanguageSetting {
  /** How many times the line height of the site's first language. */
  @MayBeLeftOut()
  @IsNumber()
  @Min(LANGUAGE_BOUNDS.lineHeight[0])
  @Max(LANGUAGE_BOUNDS.lineHeight[1])
  lineHeight?: number;

  /** How many times its sizes. */
  @MayBeLeftOut()
  @IsNumber()
  @Min(LANGUAGE_BOUNDS.size[0])
  @Max(LANGUAGE_BOUNDS.size[1])
  size?: number;

  /** How many times its measure. */
  @MayBeLeftOut()
  @IsNumber()
  @Min(LANGUAGE_BOUNDS.measure[0])
  @Max(LANGUAGE_BOUNDS.measure[1])
  measure?: number;

  @MayBeLeftOut()
  @IsIn(['kept', 'none'])
  spacing?: 'kept' | 'none';

  @MayBeLeftOut()
  @IsIn(EMPHASES)
  emphasis?: Emphasis;

  @MayBeLeftOut()
  @IsIn(['none', 'manual', 'auto'])
  hyphenation?: 'none' | 'manual' | 'auto';

  /** What justified text is set as. */
  @MayBeLeftOut()
  @IsIn(['justify', 'start'])
  justified?: 'justify' | 'start';

  /** Figures of numbered lists. CSS Counter Styles 3 §6. */
  @MayBeLeftOut()
  @IsIn(['western', 'own'])
  numerals?: 'western' | 'own';

  /** Quotation marks, outer and inner. CSS Content 3 §3.1. */
  @MayBeLeftOut()
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(4)
  @IsString({ each: true })
  @MinLength(1, { each: true })
  @MaxLength(4, { each: true })
  quotes?: string[];
}
