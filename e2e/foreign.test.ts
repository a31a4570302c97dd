import { createServer, request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { openAnew } from './hands';
import { cookieHeader, signIn } from '../scripts/sign-in.cjs';
import { TestShop } from './shop';

let shop: TestShop;
let site: Server;
let foreign: string;
beforeAll(async () => {
  shop = await TestShop.open('demo');
  // Another site on the same machine: as near as a foreign page can come.
  site = createServer((_, response) => {
    response.setHeader('content-type', 'text/html');
    response.end('<!doctype html><title>Elsewhere</title><h1>Elsewhere</h1>');
  });
  await new Promise<void>((done) => site.listen(0, '127.0.0.1', done));
  foreign = `http://localhost:${(site.address() as AddressInfo).port}`;
});
beforeEach(() => shop.testBegins());
afterEach(() => shop.testEnds());
afterAll(async () => {
  site.closeAllConnections();
  site.close();
  await shop.close();
});

const jobs = async () => (await shop.get<unknown[]>('/api/v1/find?q=Fremd')).length;

test('another site’s page writes nothing, reads nothing and shows nothing of the shop', async () => {
  const page = await shop.page();
  await page.goto(foreign);
  const body = JSON.stringify({ archer: { name: 'Fremd' }, job: {} });
  const tried = await page.evaluate(
    async (url, text) => {
      const said: string[] = [];
      const attempt = async (name: string, init: RequestInit) =>
        said.push(
          await fetch(`${url}/api/v1/jobs`, init).then(
            (answer) => `${name}: ${answer.type}`,
            () => `${name}: refused`,
          ),
        );
      const json = { 'content-type': 'application/json' };
      await attempt('plain', { method: 'POST', mode: 'no-cors', body: text });
      await attempt('with cookies', {
        ...{ method: 'POST', mode: 'no-cors', credentials: 'include' },
        body: new Blob([text], { type: 'text/plain' }),
      });
      await attempt('json', { method: 'POST', headers: json, body: text });
      await attempt('read', {});
      return said;
    },
    shop.url,
    body,
  );
  // What the browser lets out is answered with a refusal nobody there can read.
  expect(tried).toEqual([
    'plain: refused',
    'with cookies: refused',
    'json: refused',
    'read: refused',
  ]);
  expect(await jobs()).toBe(0);

  // A form, which no script has to send.
  await page.evaluate((url) => {
    const form = document.createElement('form');
    form.method = 'post';
    form.action = `${url}/api/v1/jobs`;
    form.enctype = 'text/plain';
    const field = document.createElement('input');
    field.name = '{"who":"X","archer":{"name":"Fremd"},"job":{},"a":"';
    field.value = '"}';
    form.append(field);
    document.body.append(form);
    form.submit();
  }, shop.url);
  await page.waitForNavigation().catch(() => undefined);
  expect(await jobs()).toBe(0);

  // A frame around the shop stays empty.
  await page.goto(foreign);
  await page.evaluate((url) => {
    const frame = document.createElement('iframe');
    frame.src = url;
    document.body.append(frame);
  }, shop.url);
  await new Promise((done) => setTimeout(done, 1000));
  const shown = await Promise.all(
    page
      .frames()
      .slice(1)
      .map((frame) => frame.evaluate(() => document.body?.innerText ?? '').catch(() => '')),
  );
  expect(shown.join(' ')).not.toContain('bench');
  shop.complaints.length = 0;
});

test('a foreign name bound to this address is not the shop’s', async () => {
  const { hostname, port } = new URL(shop.url);
  const cookie = cookieHeader(shop.cookies);
  const asked = (host: string) =>
    new Promise<number>((done, failed) => {
      request(
        { hostname, port, path: '/api/v1/find?q=Aino', headers: { host, cookie } },
        (answer) => {
          answer.resume();
          done(answer.statusCode!);
        },
      )
        .on('error', failed)
        .end();
    });
  expect(await asked(`evil.example:${port}`)).toBe(421);
  expect(await asked(`127.0.0.1.evil.example`)).toBe(421);
  expect(await asked(`localhost:${port}`)).toBe(200);
});

test('no way round the gate: an address that walks to another one is none', async () => {
  const { hostname, port } = new URL(shop.url);
  const learner = cookieHeader(
    await signIn(shop.url, { personId: 'imhoff', secret: '7193', name: 'Learner’s' }),
  );
  const asked = (method: string, path: string, cookie = '') =>
    new Promise<number>((done, failed) => {
      const body = method === 'GET' ? '' : '{"name":"Fremd"}';
      const headers = { cookie, ...(body ? { 'content-type': 'application/json' } : {}) };
      request({ hostname, port, method, path, headers }, (answer) => {
        answer.resume();
        done(answer.statusCode!);
      })
        .on('error', failed)
        .end(body);
    });
  expect(await asked('PATCH', '/api/v1/shop', learner)).toBe(403);
  for (const path of ['/api/v1/x/../shop', '/api/v1/x/%2e%2e/shop', '/api/v1/./shop'])
    expect([path, await asked('PATCH', path, learner)]).toEqual([path, 400]);
  for (const path of ['/_next/static/../../api/v1/find?q=Aino', '/icon.svg/../api/v1/find?q=Aino'])
    expect([path, await asked('GET', path)]).toEqual([path, 400]);
  expect((await shop.get<{ shop: string }>('/api/v1/session')).shop).toBe('Bootshaus Archery');
});

test('a script in a name is a name', async () => {
  const name = '<img src=x onerror="window.broken=1"><script>window.broken=1</script>';
  const made = await shop.send('/api/v1/jobs', { archer: { name }, job: {} });
  const { id } = (made.body as { job: { id: string } }).job;
  const page = await shop.page();
  for (const path of ['/', `/jobs/${id}/meet`, `/jobs/${id}/handover`]) {
    await openAnew(page, shop.url + path);
    expect(await page.evaluate(() => 'broken' in window)).toBe(false);
  }
  // What stands in a page without the word of its own answer does not run.
  const ran = await page.evaluate(async () => {
    const script = document.createElement('script');
    script.textContent = 'window.broken = 1';
    document.body.append(script);
    await new Promise((done) => setTimeout(done, 50));
    return 'broken' in window;
  });
  expect(ran).toBe(false);
  shop.complaints.length = 0;
});

test('a cookie goes to the shop’s own pages alone, and no script reads it', async () => {
  const page = await shop.page();
  await openAnew(page, shop.url);
  const [cookie] = await page.cookies();
  expect(cookie).toMatchObject({ httpOnly: true, sameSite: 'Strict' });
  expect(await page.evaluate(() => document.cookie)).toBe('');
});
