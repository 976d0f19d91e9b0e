import { SequelizeStorage, Umzug } from 'umzug';
import { database } from '../connection.ts';
import { log } from '../../log.ts';
import * as firstPath from './0001-first-path.ts';
import * as printing from './0003-printing.ts';
import * as rightAndSafe from './0004-right-and-safe.ts';
import * as sturdyEdge from './0005-sturdy-edge.ts';
import * as ownVoiceAndWords from './0006-own-voice-and-words.ts';
import * as term from './0002-term.ts';
import { prepareQueue } from '../queue.ts';

/** Brings the database up to date; migrations are only ever added. Returns the names of those applied now. */
export async function migrate(): Promise<string[]> {
  const sequelize = database();
  const umzug = new Umzug({
    migrations: [
      { name: '0001-first-path', up: ({ context }) => firstPath.up(context) },
      { name: '0002-term', up: ({ context }) => term.up(context) },
      { name: '0003-printing', up: ({ context }) => printing.up(context) },
      { name: '0004-right-and-safe', up: ({ context }) => rightAndSafe.up(context) },
      { name: '0005-sturdy-edge', up: ({ context }) => sturdyEdge.up(context) },
      { name: '0006-own-voice-and-words', up: ({ context }) => ownVoiceAndWords.up(context) },
    ],
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  });
  const applied = (await umzug.up()).map(({ name }) => name);
  await prepareQueue();
  if (applied.length > 0) log.info({ applied }, 'migrated');
  return applied;
}
