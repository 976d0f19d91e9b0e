import { createHash } from 'node:crypto';

/** One copy of a title, at a branch. `leadWorkingDays` is how long it takes to arrive; null when the catalogue cannot say. */
export interface CatalogueCopy {
  readonly copy: string;
  readonly title: string;
  readonly maker: string;
  readonly branch: string;
  readonly isFree: boolean;
  readonly leadWorkingDays: number | null;
}

/** The library's catalogue: what it has, what is free, and reserving it. */
export interface Catalogue {
  search(words: string): Promise<CatalogueCopy[]>;
  find(copy: string): Promise<CatalogueCopy | null>;
  /** False when somebody else was quicker. */
  reserve(copy: string): Promise<boolean>;
  release(copy: string): Promise<void>;
}

const TITLES = [
  ['The cart with no wheels', 'Perrin Oakshade'],
  ['Who is on the wall?', 'Wilma Tarn'],
  ['A parcel for Nim', 'Ivo Sallow'],
  ['The goat who counted planks', 'Dot Fennimore'],
  ['Nine odd socks', 'Marit Quill'],
  ['Hush, said the gate', 'Anselm Dray'],
  ['Six buttons, two pockets', 'Berit Lomax'],
  ['A cloud in the kitchen', 'Osric Vane'],
  ['How wheels turn', 'Hanna Brook'],
  ['What a shadow needs', 'Hanna Brook'],
  ['From hand to hand: how post travels', 'Tove Arkwright'],
  ['Bridges of wood and rope', 'Tove Arkwright'],
  ['A puddle, Monday to Sunday', 'Hanna Brook'],
] as const;
const BRANCHES = ['Quillbrook', 'Millrace', 'Upper Ferry'] as const;

/** Which copies are given away, kept where all processes look. */
interface ReservedCopies {
  all(): Promise<ReadonlySet<string>>;
  /** False when the copy was given away already. */
  add(copy: string): Promise<boolean>;
  remove(copy: string): Promise<void>;
}

/**
 * The catalogue stand-in: invented titles at three branches. A copy arrives after a lead time that is always the same
 * for it; what is reserved is remembered, so that it is not free the next time.
 */
class CatalogueStandIn implements Catalogue {
  constructor(private readonly reserved: ReservedCopies) {}

  async search(words: string): Promise<CatalogueCopy[]> {
    const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
    const reserved = await this.reserved.all();
    return this.copies(reserved).filter(({ title, maker }) =>
      wanted.every((word) => `${title} ${maker}`.toLowerCase().includes(word)),
    );
  }

  async find(copy: string): Promise<CatalogueCopy | null> {
    return this.copies(await this.reserved.all()).find((candidate) => candidate.copy === copy) ?? null;
  }

  reserve(copy: string): Promise<boolean> {
    return this.reserved.add(copy);
  }

  release(copy: string): Promise<void> {
    return this.reserved.remove(copy);
  }

  private copies(reserved: ReadonlySet<string>): CatalogueCopy[] {
    return TITLES.flatMap(([title, maker]) =>
      BRANCHES.map((branch, at) => {
        const copy = createHash('sha256').update(`${title}/${branch}`).digest('hex').slice(0, 10);
        const chance = Number.parseInt(copy.slice(0, 4), 16);
        return {
          copy,
          title,
          maker,
          branch,
          isFree: !reserved.has(copy) && chance % 4 !== 0,
          leadWorkingDays: chance % 11 === 0 ? null : at === 0 ? 1 : 3 + (chance % 6),
        };
      }),
    );
  }
}

/** The catalogue of this installation. */
export function catalogueOver(reserved: ReservedCopies): Catalogue {
  return new CatalogueStandIn(reserved);
}
