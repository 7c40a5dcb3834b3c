import { IsNumber, Max, Min } from 'class-validator';
import { MayBeLeftOut } from './decorators';

/** A part of the document that is kept by key and stands among its like in an order. */
export class Placed {
  /** Where it stands among its like, least first. A part that is added without one stands last. */
  @MayBeLeftOut()
  @IsNumber()
  @Min(-1e6)
  @Max(1e6)
  place?: number;
}
