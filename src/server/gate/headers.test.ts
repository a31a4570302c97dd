import type { IncomingMessage, ServerResponse } from 'node:http';
import { secure } from './headers';

function asked(path: string, dev?: boolean, brought: Record<string, string> = {}) {
  const headers: Record<string, string> = { ...brought };
  const said: Record<string, string> = {};
  const request = { headers } as unknown as IncomingMessage;
  const response = {
    setHeader: (name: string, value: string) => {
      said[name.toLowerCase()] = value;
    },
  } as unknown as ServerResponse;
  secure(request, response, path, dev);
  return { headers, said, policy: said['content-security-policy']! };
}

test.each(['/api/v1/health', '/_next/static/a.js'])(
  '%s is a file: nobody frames it, and no word is made for scripts',
  (path) => {
    const { policy, headers } = asked(path);
    expect(policy).toBe("frame-ancestors 'none'");
    expect(headers).toEqual({});
  },
);
test('a page runs the scripts alone that carry its word, which the application is told', () => {
  const { policy, headers } = asked('/jobs/1');
  const nonce = headers['x-nonce']!;
  expect(nonce).toMatch(/^[A-Za-z0-9+/]{24}$/);
  expect(policy).toContain(`'nonce-${nonce}'`);
  expect(headers['content-security-policy']).toBe(policy);
  expect(policy).not.toContain('unsafe-eval');
  expect(asked('/jobs/1').headers['x-nonce']).not.toBe(nonce);
});
test('sources that are served as they stand may be read anew', () =>
  expect(asked('/jobs/1', true).policy).toContain("'unsafe-eval'"));
test('what a request brings of its own is thrown away', () => {
  const mine = {
    ...{ 'content-security-policy': 'mine', 'content-security-policy-report-only': 'mine' },
    'x-nonce': 'mine',
  };
  expect(asked('/api/v1/health', false, mine).headers).toEqual({});
  expect(JSON.stringify(asked('/jobs/1', false, mine).headers)).not.toContain('mine');
});
test('every answer says the same of itself', () => {
  const { 'content-security-policy': _file, ...file } = asked('/api/v1/health').said;
  const { 'content-security-policy': _page, ...page } = asked('/jobs/1').said;
  expect(page).toEqual(file);
  expect(page).toMatchSnapshot();
});
