import { QueryTypes, Sequelize } from 'sequelize';

/** So many rows are added at once: no statement is to take longer than the application lets any. */
const AT_ONCE = 500;

/**
 * So many homes in the programme that has sessions, with addresses, children and things: those that there are, again and again.
 * Gives how many were added.
 */
export async function haveHomes(url: string, count: number): Promise<number> {
  const sequelize = new Sequelize(url, { logging: false });
  const [row] = await sequelize.query<{ homes: number }>(
    'SELECT count(*)::int AS homes FROM homes WHERE programme_id = (SELECT programme_id FROM sessions ORDER BY kept_at LIMIT 1)',
    { type: QueryTypes.SELECT },
  );
  const had = row!.homes;
  for (let from = had; from < count; from += AT_ONCE)
    await sequelize.query(COPY_HOMES, {
      replacements: { from: from + 1, to: Math.min(count, from + AT_ONCE), known: Math.min(had, 12) },
    });
  await sequelize.query('ANALYZE homes, children, home_things');
  await sequelize.close();
  return count - had;
}

const COPY_HOMES = `
  WITH mine AS (SELECT *, row_number() OVER (ORDER BY nickname) AS place FROM homes
                 WHERE programme_id = (SELECT programme_id FROM sessions ORDER BY kept_at LIMIT 1) AND nickname !~ ' [0-9]+$'),
       copies AS (SELECT gen_random_uuid() AS id, mine.id AS former, mine.programme_id, mine.nickname || ' ' || n AS nickname,
                         'house' || n || '@homes.example' AS contact, mine.language, mine.allergens
                    FROM generate_series(CAST(:from AS integer), CAST(:to AS integer)) AS n JOIN mine ON mine.place = 1 + n % CAST(:known AS integer)),
       homes_made AS (INSERT INTO homes (id, programme_id, nickname, contact, language, allergens)
                      SELECT id, programme_id, nickname, contact, language, allergens FROM copies),
       children_made AS (INSERT INTO children (id, home_id, nickname, birth_month, loves, position)
                         SELECT gen_random_uuid(), copies.id, children.nickname, birth_month, loves, position
                           FROM children JOIN copies ON copies.former = children.home_id)
  INSERT INTO home_things (home_id, thing_id, programme_id, qty)
  SELECT copies.id, thing_id, home_things.programme_id, qty FROM home_things JOIN copies ON copies.former = home_things.home_id`;
