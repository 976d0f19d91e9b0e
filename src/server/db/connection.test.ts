import assert from 'node:assert/strict';
import { createServer, type AddressInfo } from 'node:net';
import { test } from 'node:test';
import { closeDatabase, database, isDatabaseAway } from './connection.ts';

const message = (type: string, body: Buffer) => {
  const length = Buffer.alloc(4);
  length.writeInt32BE(body.length + 4);
  return Buffer.concat([Buffer.from(type), length, body]);
};
const WELCOME = [message('R', Buffer.alloc(4)), message('Z', Buffer.from('I'))];
const GOODBYE = message('E', Buffer.from('SFATAL\0C57P01\0Mterminating connection due to administrator command\0\0'));

test('a server that says goodbye together with its welcome is a database that is away, and ends no process', async () => {
  const server = createServer((socket) => {
    socket.on('error', () => undefined);
    socket.once('data', () => socket.end(Buffer.concat([...WELCOME, GOODBYE])));
  });
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
  process.env.DATABASE_URL = `postgres://somebody@127.0.0.1:${(server.address() as AddressInfo).port}/kept`;
  try {
    await assert.rejects(database().query('SELECT 1'), isDatabaseAway);
  } finally {
    delete process.env.DATABASE_URL;
    await closeDatabase();
    server.close();
  }
});
