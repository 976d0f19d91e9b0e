import { CatalogueReservedRow } from '../models.ts';
import { tables } from '../tables.ts';

/** Which copies the catalogue stand-in has given away, shared by all processes on one database. One query each. */
export const reservedCopies = {
  all: async (): Promise<ReadonlySet<string>> => {
    tables();
    return new Set((await CatalogueReservedRow.findAll()).map(({ copy }) => copy));
  },
  /** False when the copy was given away already. */
  add: async (copy: string): Promise<boolean> => {
    const [added] = await tables().query(
      'INSERT INTO catalogue_reserved (copy) VALUES (:copy) ON CONFLICT DO NOTHING RETURNING copy',
      { replacements: { copy } },
    );
    return added.length === 1;
  },
  remove: async (copy: string): Promise<void> => {
    tables();
    await CatalogueReservedRow.destroy({ where: { copy } });
  },
};
