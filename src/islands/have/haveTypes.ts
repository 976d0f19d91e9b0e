import type { ThingsByKey } from '../../core/materials/thing.ts';
import type { CautionPolicy } from '../../core/cautions/rules.ts';
import type { Home } from '../../core/homes/home.ts';
import type { ShelfChoice } from '../../core/homes/inventory.ts';

export interface HaveThing {
  readonly key: string;
  readonly one: string;
  readonly many: string;
  readonly usualQty: number;
  readonly common: number;
}

export interface HaveProps {
  readonly things: readonly HaveThing[];
  readonly known: ThingsByKey;
  readonly choices: readonly ShelfChoice[];
  readonly homes: readonly Home[];
  readonly today: string;
  readonly policy: CautionPolicy;
}
