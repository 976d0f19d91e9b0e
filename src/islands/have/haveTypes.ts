import type { HaveActivity } from '../../core/materials/whatWeHave.ts';
import type { StockItem } from '../../core/materials/swaps.ts';

export interface HaveThing {
  readonly key: string;
  readonly one: string;
  readonly many: string;
  readonly usualQty: number;
  readonly common: number;
}

export interface HaveProps {
  readonly things: readonly HaveThing[];
  readonly activities: readonly HaveActivity[];
  readonly homes: readonly {
    readonly id: string;
    readonly nickname: string;
    readonly youngestMonths: number;
    readonly stock: readonly StockItem[];
  }[];
}
