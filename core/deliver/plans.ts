import type { FallbackPlan } from '../fallback/plan';
import type { DeliveryPlan } from './plan';

/** What the bundle is written from, made once for a revision. */
export interface Plans {
  fallback: FallbackPlan;
  delivery: DeliveryPlan;
}

/** What the style sheet is written from. */
export interface SheetPlans {
  fallback: FallbackPlan;
  delivery: Pick<DeliveryPlan, 'files' | 'locals'>;
}
