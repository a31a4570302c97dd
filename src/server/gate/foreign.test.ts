import type { IncomingMessage } from 'node:http';
import { foreign } from './foreign';

const names = new Set(['localhost', '127.0.0.1', 'bogen.example']);
const ask = (method: string, headers: Record<string, string>) =>
  foreign(
    { method, headers: { host: 'localhost:3000', ...headers } } as unknown as IncomingMessage,
    names,
  );
const json = { 'content-type': 'application/json', 'content-length': '9' };

describe('by its name', () => {
  test.each([
    ['localhost:3000', null],
    ['BOGEN.example', null],
    ['evil.example:3000', 421],
    ['localhost.evil.example', 421],
    ['', 421],
    ['localhost@evil.example', 421],
  ])('%j: %j', (host, status) => expect(ask('GET', { host })?.status ?? null).toBe(status));
});

describe('a writing request', () => {
  test.each<[string, Record<string, string>, string | null]>([
    ['of a program', {}, null],
    [
      'of the shop’s page',
      { 'sec-fetch-site': 'same-origin', origin: 'http://localhost:3000' },
      null,
    ],
    ['of another site', { 'sec-fetch-site': 'cross-site' }, 'foreign-page'],
    ['of another port of this machine', { 'sec-fetch-site': 'same-site' }, 'foreign-page'],
    ['of an old browser on another site', { origin: 'http://evil.example' }, 'foreign-page'],
    ['of another port, by its origin', { origin: 'http://localhost:4000' }, 'foreign-page'],
    ['of a sandboxed frame', { origin: 'null' }, 'foreign-page'],
    ['of a file', { origin: 'file://' }, 'foreign-page'],
    [
      'that says it is its own and is not',
      { 'sec-fetch-site': 'same-origin', origin: 'http://evil.example' },
      'foreign-page',
    ],
  ])('%s', (_, headers, reason) => {
    for (const method of ['POST', 'PUT', 'PATCH', 'DELETE'])
      expect(ask(method, { ...json, ...headers })?.reason ?? null).toBe(reason);
  });

  test.each([
    ['application/json', null],
    ['application/json; charset=utf-8', null],
    ['application/octet-stream', null],
    ['image/jpeg', null],
    ['text/plain', 'other-body'],
    ['application/x-www-form-urlencoded', 'other-body'],
    ['multipart/form-data; boundary=x', 'other-body'],
    ['application/jsonp', 'other-body'],
    ['', 'other-body'],
  ])('with a body of %j: %j', (type, reason) =>
    expect(ask('POST', { ...json, 'content-type': type })?.reason ?? null).toBe(reason),
  );

  test('without a body needs no type; reading asks for neither', () => {
    expect(ask('DELETE', {})).toBeNull();
    expect(ask('POST', { 'transfer-encoding': 'chunked' })?.reason).toBe('other-body');
    expect(ask('GET', { 'sec-fetch-site': 'cross-site' })).toBeNull();
  });
});
