import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { DataTypes, type ModelAttributeColumnOptions } from 'sequelize';
import { database } from '../../src/server/db/connection.ts';
import { tables } from '../../src/server/db/tables.ts';
import { startProgrammes, type TestProgrammes } from './programme.ts';

let programmes: TestProgrammes;
before(async () => (programmes = await startProgrammes()));
after(() => programmes.remove());

interface Column {
  readonly name: string;
  readonly type: string;
  readonly nullable: string;
  readonly preset: string | null;
}

/** The database's own name of a model's column type. */
function typeOf({ type }: ModelAttributeColumnOptions): string {
  if (type instanceof DataTypes.ARRAY) return 'ARRAY';
  const names: [unknown, string][] = [
    [DataTypes.UUID, 'uuid'],
    [DataTypes.TEXT, 'text'],
    [DataTypes.INTEGER, 'integer'],
    [DataTypes.BOOLEAN, 'boolean'],
    [DataTypes.JSONB, 'jsonb'],
    [DataTypes.DATEONLY, 'date'],
    [DataTypes.DATE, 'timestamp with time zone'],
    [DataTypes.DECIMAL, 'numeric'],
    [DataTypes.BLOB, 'bytea'],
  ];
  return names.find(([kind]) => type instanceof (kind as new () => object))?.[1] ?? String(type);
}

test('each model has the columns of its table: names, types, and what may be empty', async () => {
  // The counters of tries are the limiter’s own, the list of migrations that of who runs them.
  const models = Object.values(tables().models).filter(
    (model) => !['tries', 'migrations'].includes(model.getTableName() as string),
  );
  assert.ok(models.length > 20);
  for (const model of models) {
    const table = model.getTableName() as string;
    const [rows] = await database().query(
      `SELECT column_name AS name, data_type AS type, is_nullable AS nullable, column_default AS preset
         FROM information_schema.columns WHERE table_schema = 'public' AND table_name = :table`,
      { replacements: { table } },
    );
    const columns = rows as Column[];
    const attributes = Object.values(model.getAttributes());
    assert.deepEqual(
      attributes.map(({ field }) => field).sort(),
      columns.map(({ name }) => name).sort(),
      `columns of ${table}`,
    );
    for (const attribute of attributes) {
      const column = columns.find(({ name }) => name === attribute.field)!;
      assert.equal(typeOf(attribute), column.type, `type of ${table}.${column.name}`);
      const mayBeEmpty = attribute.allowNull !== false && !attribute.primaryKey;
      assert.equal(mayBeEmpty, column.nullable === 'YES', `whether ${table}.${column.name} may be empty`);
    }
  }
});
