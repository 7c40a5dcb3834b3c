import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  Max,
  Min,
  ValidateBy,
} from 'class-validator';
import { IsSelector } from './cssValues';
import {
  BETWEENS,
  MOST_STEPS,
  NAMINGS,
  ROUNDINGS,
  SCALE_BOUNDS,
  type Between,
  type Naming,
  type Rounding,
  LONGEST_STEP_NAME,
} from './scaleBounds';
import { KEY, MayBeLeftOut, MayBeNull, Part, PartsByKey, ValuesByKey } from './decorators';

const { width, base, displayBase, ratio, size, grid, root } = SCALE_BOUNDS;

/** A step's number: whole, or half for one added between two. */
const STEP_NUMBER = /^(0|-?(0\.5|[1-9]\d?(\.5)?))$/;

const IsHalfStep = (): PropertyDecorator =>
  ValidateBy(
    {
      name: 'isHalfStep',
      validator: {
        validate: (value: unknown) =>
          typeof value === 'number' &&
          Number.isInteger(value - 0.5) &&
          Math.abs(value) < MOST_STEPS,
        defaultMessage: () => 'must be numbers half-way between two steps, such as 1.5',
      },
    },
    { each: true },
  );

/** A scale that has one end: a size, and what each step is larger by. */
export class OwnScale {
  /** Base size, CSS px. */
  @IsNumber()
  @Min(base[0])
  @Max(base[1])
  base!: number;

  @IsNumber()
  @Min(ratio[0])
  @Max(ratio[1])
  ratio!: number;
}

/** One end of the scale. */
export class ScaleEnd extends OwnScale {
  /** Viewport width, CSS px. */
  @IsInt()
  @Min(width[0])
  @Max(width[1])
  width!: number;
}

/** A second base and ratio at one end. */
export class SeriesEnd {
  /** Size of the series' first step, CSS px. */
  @IsNumber()
  @Min(displayBase[0])
  @Max(displayBase[1])
  base!: number;

  @IsNumber()
  @Min(ratio[0])
  @Max(ratio[1])
  ratio!: number;
}

/** A second series, which begins at a step upward: display sizes that one ratio does not reach. */
export class DisplaySeries {
  /** Number of its first step. */
  @IsInt()
  @Min(1)
  @Max(MOST_STEPS)
  from!: number;

  @Part(() => SeriesEnd)
  small!: SeriesEnd;

  @Part(() => SeriesEnd)
  large!: SeriesEnd;
}

/** A step set by hand at one end or both, CSS px. */
export class StepOverride {
  @MayBeLeftOut()
  @IsNumber()
  @Min(size[0])
  @Max(size[1])
  small?: number;

  @MayBeLeftOut()
  @IsNumber()
  @Min(size[0])
  @Max(size[1])
  large?: number;
}

/** What steps are called in custom properties and tokens. */
export class StepNames {
  @IsIn(NAMINGS)
  scheme!: Naming;

  /** Names of the designer's own, by step number; other steps keep their numbers. */
  @ValuesByKey(
    (name) => typeof name === 'string' && KEY.test(name) && name.length <= LONGEST_STEP_NAME,
    'must hold names of small letters, digits and hyphens, by step number',
    { key: STEP_NUMBER, most: 4 * MOST_STEPS },
  )
  own!: Record<string, string>;
}

export class Scale {
  @Part(() => ScaleEnd)
  small!: ScaleEnd;

  @Part(() => ScaleEnd)
  large!: ScaleEnd;

  /** Steps below and above the base. */
  @IsInt()
  @Min(0)
  @Max(MOST_STEPS)
  down!: number;

  @IsInt()
  @Min(0)
  @Max(MOST_STEPS)
  up!: number;

  @IsIn(ROUNDINGS)
  rounding!: Rounding;

  /**
   * What 1rem is on the site, CSS px, where its own style sheets set that; 16 when left out. Null where it is
   * not the same at every width: sizes are then delivered in px.
   */
  @MayBeLeftOut()
  @MayBeNull()
  @IsNumber()
  @Min(root[0])
  @Max(root[1])
  root?: number | null;

  /** By step number: `-1`, `0`, `4`, `1.5`. */
  @PartsByKey(() => StepOverride, { key: STEP_NUMBER, most: 4 * MOST_STEPS })
  overrides!: Record<string, StepOverride>;

  /** Steps added half-way between two: 1.5 stands between 1 and 2. */
  @MayBeLeftOut()
  @IsArray()
  @ArrayMaxSize(2 * MOST_STEPS)
  @ArrayUnique()
  @IsHalfStep()
  added?: number[];

  /** A second series from a step upward; without it one base and ratio make all steps. */
  @MayBeLeftOut()
  @Part(() => DisplaySeries)
  display?: DisplaySeries;

  /** By numbers when left out. */
  @MayBeLeftOut()
  @Part(() => StepNames)
  names?: StepNames;

  /** How sizes go between the ends: with the viewport when left out. */
  @MayBeLeftOut()
  @IsIn(BETWEENS)
  between?: Between;

  /** Viewport width at which plain sizes change, CSS px; half-way between the ends when left out. */
  @MayBeLeftOut()
  @IsInt()
  @Min(width[0])
  @Max(width[1])
  changeAt?: number;

  /** Selectors of what becomes a container for sizes that follow one. */
  @MayBeLeftOut()
  @IsArray()
  @ArrayMaxSize(40)
  @IsSelector({ each: true })
  containers?: string[];

  /** Whether a larger step may be the smaller one at an end. It is refused unless allowed. */
  @MayBeLeftOut()
  @IsBoolean()
  crossing?: boolean;

  /** What no step is smaller than, CSS px, but for what is set by hand; no limit when left out. */
  @MayBeLeftOut()
  @IsNumber()
  @Min(size[0])
  @Max(size[1])
  floor?: number;

  /** What no step is larger than, in the same way. */
  @MayBeLeftOut()
  @IsNumber()
  @Min(size[0])
  @Max(size[1])
  ceiling?: number;

  /** Height of the baseline grid that lines are set on, CSS px; none when left out. */
  @MayBeLeftOut()
  @IsNumber()
  @Min(grid[0])
  @Max(grid[1])
  grid?: number;
}
