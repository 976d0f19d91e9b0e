import { QueryTypes } from 'sequelize';
import { APPLICATION_NAME, database, withPatientDatabase } from '../connection.ts';

async function countOf(sql: string, replacements: Record<string, string> = {}): Promise<number> {
  return withPatientDatabase(async (sequelize) => {
    const [row] = await sequelize.query<{ count: string }>(sql, { replacements, type: QueryTypes.SELECT });
    return Number(row!.count);
  });
}

/** How many people and programmes there are, in a database of any schema. */
export function countPeopleAndProgrammes(): Promise<number> {
  return countOf('SELECT (SELECT count(*) FROM users) + (SELECT count(*) FROM programmes) AS count');
}

/** Whether somebody serves pages from this database. */
export async function isServing(): Promise<boolean> {
  const connections = await countOf(
    'SELECT count(*) FROM pg_stat_activity WHERE datname = current_database() AND application_name = :name',
    { name: APPLICATION_NAME },
  );
  return connections > 0;
}

/** Takes everything out of the database: its tables and its queue. */
export async function clearDatabase(): Promise<void> {
  await withPatientDatabase((sequelize) =>
    sequelize.query('DROP SCHEMA IF EXISTS queue CASCADE; DROP SCHEMA public CASCADE; CREATE SCHEMA public'),
  );
}

/** Says of every letter that waited or was being posted that its fate is unknown. */
export async function markLettersUnclear(): Promise<void> {
  await database().query("UPDATE messages SET state = 'unclear' WHERE state IN ('waiting', 'posting')");
}
