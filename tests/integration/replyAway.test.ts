import assert from 'node:assert/strict';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { test } from 'node:test';
import { QueryTypes, Sequelize } from 'sequelize';
import { guideToken } from '../../src/server/http/secrets.ts';
import { SECRET, startServer, startDemoServer } from '../support/app.ts';

test('an answer that comes while the records are away, of a guide that nobody opened here, stays in the page until it is taken', async () => {
  process.env.FOOTSTOOL_SECRET = SECRET;
  const folder = mkdtempSync(`${tmpdir()}/footstool-reply-`);
  const database = await startDemoServer();
  const server = await startServer(database.url, folder);
  try {
    const records = new Sequelize(database.url, { dialect: 'postgres', logging: false });
    const [link] = await records.query<{ id: string }>(
      'SELECT id FROM guide_links WHERE id NOT IN (SELECT link_id FROM replies) LIMIT 1',
      { type: QueryTypes.SELECT },
    );
    await records.close();
    const reply = `${server.address}/g/${guideToken(link!.id)}/reply`;
    const fields = {
      outcome: 'done',
      note: 'The bear wanted “one more”.',
      edition: '1',
      key: 'one-press',
      answered: '',
    };
    const send = () =>
      fetch(reply, {
        method: 'POST',
        redirect: 'manual',
        body: new URLSearchParams(fields),
        headers: { origin: server.address, 'accept-language': 'es' },
      });
    database.stop();
    const away = await send();
    assert.equal(away.status, 503);
    const page = await away.text();
    assert.match(page, /<textarea[^>]*name="note"[^>]*>The bear wanted “one more”\.<\/textarea>/);
    for (const [name, value] of Object.entries(fields).filter(([, value]) => value !== '' && value !== fields.note))
      assert.match(page, new RegExp(`type="hidden" name="${name}" value="${value}"`));
    assert.match(page, /Lo que escribieron sigue aquí/);
    await database.start();
    let taken = await send();
    for (let left = 50; left > 0 && taken.status === 503; left--) {
      await new Promise((next) => setTimeout(next, 100));
      taken = await send();
    }
    assert.equal(taken.status, 303);
    assert.match(taken.headers.get('location') ?? '', /thanks/);
  } finally {
    await server.stop();
    await database.remove();
    rmSync(folder, { recursive: true, force: true });
  }
});
