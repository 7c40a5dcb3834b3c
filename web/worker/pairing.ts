import {
  orderPartners,
  pairScaleOf,
  seatAll,
  type Held,
  type PairScale,
  type Partner,
  type RankedPartner,
  type Role,
} from '@lettera/core/pairing';
import type { TextUse } from '@lettera/core/style';
import { expose } from 'comlink';

let library: Partner[] = [];
let scale: PairScale | null = null;

const worker = {
  /** Takes over the families that orders are made of, and how the site sets them. */
  setLibrary(partners: Partner[], use: TextUse): void {
    library = partners;
    scale = pairScaleOf(partners, use);
    seatAll(partners, scale);
  },

  /** The partners of the held families, in order. */
  order(held: Held, sought: Role): RankedPartner[] {
    return scale ? orderPartners(held, sought, library, scale) : [];
  },
};

export type PairingWorker = typeof worker;

expose(worker);
