import { QueryTypes } from 'sequelize';
import { tables } from '../tables.ts';

interface Bounds {
  readonly homes: number;
  readonly sessions: number;
  readonly lines: number;
}

/** What a programme has that can be found beside its shelf: sessions, the lines that were written in them, homes. */
interface FindableRows {
  readonly sessions: readonly {
    readonly id: string;
    readonly title: string;
    readonly on: string;
    readonly aim: string;
  }[];
  readonly lines: readonly {
    readonly session: string;
    readonly line: string;
    readonly text: string;
    readonly title: string;
  }[];
  readonly homes: readonly { readonly id: string; readonly nickname: string; readonly children: readonly string[] }[];
}

/**
 * Sessions and own lines of the newest sessions, and homes by name, as many of each as are asked for. Lines that a maker says or
 * that hold something in braces are left out. One query.
 */
export async function readFindable(programmeId: string, { homes, sessions, lines }: Bounds): Promise<FindableRows> {
  const [row] = await tables().query<FindableRows>(
    `WITH newest AS (
       SELECT id, title, held_on, aim, script FROM sessions
        WHERE programme_id = :programmeId AND deleted_at IS NULL
        ORDER BY held_on DESC, id LIMIT :sessions
     )
     SELECT
       (SELECT coalesce(jsonb_agg(jsonb_build_object('id', id, 'title', title, 'on', held_on, 'aim', aim)), '[]')
          FROM newest) AS sessions,
       (SELECT coalesce(jsonb_agg(found), '[]') FROM (
          SELECT newest.id AS session, newest.title, concat(part ->> 'id', '/', line ->> 'id') AS line, line ->> 'text' AS text
            FROM newest, jsonb_array_elements(script -> 'segments') AS part, jsonb_array_elements(part -> 'lines') AS line
           WHERE NOT line ? 'says' AND NOT part ? 'made' AND length(line ->> 'text') BETWEEN 12 AND 300
             AND position('{' in line ->> 'text') = 0
           ORDER BY newest.held_on DESC LIMIT :lines
        ) AS found) AS lines,
       (SELECT coalesce(jsonb_agg(found), '[]') FROM (
          SELECT id, nickname,
                 (SELECT coalesce(jsonb_agg(children.nickname), '[]') FROM children WHERE children.home_id = homes.id) AS children
            FROM homes WHERE programme_id = :programmeId AND taken_out_at IS NULL
           ORDER BY nickname LIMIT :homes
        ) AS found) AS homes`,
    { type: QueryTypes.SELECT, replacements: { programmeId, homes, sessions, lines } },
  );
  return row!;
}
