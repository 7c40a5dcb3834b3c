import {
  orderPartners,
  pairScaleOf,
  type PairScale,
  type Partner,
  type RankedPartner,
  type Role,
} from '@lettera/core/pairing';
import { expose } from 'comlink';

let library: Partner[] = [];
let scale: PairScale | null = null;

const worker = {
  /** Takes over the families that orders are made of. */
  setLibrary(partners: Partner[]): void {
    library = partners;
    scale = pairScaleOf(partners);
  },

  /** The partners of a held family, in order. */
  order(held: Partner, sought: Role): RankedPartner[] {
    return scale ? orderPartners(held, sought, library, scale) : [];
  },
};

export type PairingWorker = typeof worker;

expose(worker);
