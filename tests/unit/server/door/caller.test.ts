import assert from 'node:assert/strict';
import { afterEach, test } from 'node:test';
import { about } from '@/server/about';
import { callerOf } from '@/server/door/here';
import { ownAddresses } from '@/server/ownAddresses';

/** Who is taken for the server's own machine, and where others reach it. */

const before = { ...process.env };
afterEach(() => {
  process.env = { ...before };
});

const isLocal = (clientAddress: string, headers: Record<string, string> = {}): boolean =>
  callerOf({ clientAddress, request: new Request('http://localhost/', { headers }) } as never).isLocal;

test('a browser on the server’s own machine is local, by whatever address it came; nobody is behind a proxy', () => {
  for (const address of ['127.0.0.1', '127.4.5.6', '::1', '::ffff:127.0.0.1', ...ownAddresses('all')])
    assert.equal(isLocal(address), true, address);
  for (const address of ['203.0.113.9', '::ffff:203.0.113.9', '2001:db8::9', '1270.0.0.1', ''])
    assert.equal(isLocal(address), false, address);
  assert.equal(isLocal('127.0.0.1', { 'x-forwarded-for': '203.0.113.9' }), false);
  assert.equal(isLocal('127.0.0.1', { forwarded: 'for=203.0.113.9' }), false);
});

test('a server that listens to its own machine alone names no address for others; one that listens to all does', () => {
  process.env['HOST'] = '127.0.0.1';
  assert.deepEqual(about().addresses, []);
  process.env['HOST'] = '0.0.0.0';
  process.env['PORT'] = '8123';
  const others = ownAddresses('others');
  assert.deepEqual(
    about().addresses,
    others.map((address) => `http://${address}:8123`),
  );
  assert.ok(others.every((address) => !address.startsWith('127.')));
});
