import { IsBoolean, IsInt, IsNumber, Matches, Max, MaxLength, Min } from 'class-validator';
import { IsName } from './cssValues';
import { MayBeLeftOut, Part } from './decorators';
import { OwnScale } from './scale';
import { SCALE_BOUNDS } from './scaleBounds';

const { ratio } = SCALE_BOUNDS;
const WIDEST = 5120;

/** Widths at which the site is laid out otherwise: of the viewport, or of a container. */
export class SiteWidth {
  @IsName(60)
  name!: string;

  /** From which width on, CSS px. */
  @MayBeLeftOut()
  @IsInt()
  @Min(1)
  @Max(WIDEST)
  from?: number;

  /** Below which width, CSS px. */
  @MayBeLeftOut()
  @IsInt()
  @Min(2)
  @Max(WIDEST)
  below?: number;

  /** The name of a container of the site's whose width it is; the viewport's when left out. CSS Containment 3 §3.2. */
  @MayBeLeftOut()
  @Matches(/^[A-Za-z_][\w-]*$/, { message: 'must be a name that the site’s CSS gives a container' })
  @MaxLength(60)
  container?: string;

  /** The scale there; that of all widths when left out. */
  @MayBeLeftOut()
  @Part(() => OwnScale)
  scale?: OwnScale;
}

/** How pages are printed. */
export class Print {
  /** Base size, pt. */
  @IsNumber()
  @Min(5)
  @Max(36)
  base!: number;

  @IsNumber()
  @Min(ratio[0])
  @Max(ratio[1])
  ratio!: number;

  /** Whether the addresses of links are printed behind them; not when left out. */
  @MayBeLeftOut()
  @IsBoolean()
  addresses?: boolean;
}
