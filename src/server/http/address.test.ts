import assert from 'node:assert/strict';
import { afterEach, test } from 'node:test';
import { isFromHere } from './place.ts';
import { isAddressSet, publicAddress, safeAddress } from './address.ts';
import { EdgeError } from './errors.ts';

const asked = (host: string, headers: Record<string, string> = {}) =>
  new Request(`http://${host}/`, { headers: { host, ...headers } });
afterEach(() => void delete process.env.FOOTSTOOL_ADDRESS);

test('letters use the address that is set, otherwise the one that was asked', () => {
  assert.equal(isAddressSet(), false);
  assert.equal(publicAddress(asked('127.0.0.1:4321')), 'http://127.0.0.1:4321');
  process.env.FOOTSTOOL_ADDRESS = 'https://guides.example/';
  assert.equal(isAddressSet(), true);
  assert.equal(publicAddress(asked('127.0.0.1:4321')), 'https://guides.example');
  assert.equal(safeAddress(asked('evil.example')), 'https://guides.example');
});

test('a letter that carries somebody’s key never leads to a host that only a request names', () => {
  assert.equal(safeAddress(asked('localhost:4321')), 'http://localhost:4321');
  assert.equal(safeAddress(asked('127.0.0.1:4321')), 'http://127.0.0.1:4321');
  assert.throws(() => safeAddress(asked('evil.example')), EdgeError);
});

test('the demo’s password is shown to this machine only, and not behind a proxy that nobody named', () => {
  const at = asked('localhost');
  assert.equal(isFromHere(at, '127.0.0.1'), true);
  assert.equal(isFromHere(at, '::1'), true);
  assert.equal(isFromHere(at, '192.0.2.4'), false);
  assert.equal(isFromHere(asked('localhost', { 'x-footstool-behind': 'unknown' }), '127.0.0.1'), false);
});
