import type { Sequelize, Transaction } from 'sequelize';

/** What a migration works with: statements of one transaction, which its mark is part of. */
export interface MigrationQueries {
  readonly sequelize: { readonly query: Sequelize['query'] };
}

/** Statements that all belong to one transaction. */
export function queriesWithin(sequelize: Sequelize, transaction: Transaction): MigrationQueries {
  const query = (sql: string, options: object = {}) => sequelize.query(sql, { ...options, transaction });
  return { sequelize: { query: query as Sequelize['query'] } };
}
