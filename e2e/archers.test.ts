import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle } from 'puppeteer-core';
import { click, find, pageText, reads, until, visit } from './hands';
import { TestShop } from './shop';

const button = (name: string) => `aria/${name}[role="button"]`;

test('a person is shown, given as a file another shop reads, and erased; the sheet stays', async () => {
  const shop = await TestShop.open('demo', { staysOpen: true });
  const other = await TestShop.open('empty');
  try {
    const jobId = await shop.jobOf('Aino');
    const page = await shop.page();
    await visit(page, `${shop.url}/jobs/${jobId}/meet`);
    await click(page, 'aria/What is known of them[role="link"]');
    await reads(page, 'What is known of Aino Ruusu');
    await reads(page, '1 build sheet', '[data-part="jobs"]');
    const href = await page.$eval('a[download]', (node) => node.getAttribute('href')!);
    const file = join(mkdtempSync(join(tmpdir(), 'waffenrad-file-')), 'aino.zip');
    writeFileSync(file, Buffer.from(await (await shop.ask(href)).arrayBuffer()));

    // Another shop reads it.
    const there = await other.page();
    await visit(there, other.url);
    await click(there, 'aria/New job n[role="button"]');
    const input = (await find(
      there,
      '[role="dialog"] input[type="file"]',
    )) as unknown as ElementHandle<HTMLInputElement>;
    await input.uploadFile(file);
    await until(there, () => location.pathname.endsWith('/meet'));
    await reads(there, 'Aino Ruusu');
    await visit(there, there.url().replace('/meet', '/bow?part=alike'));
    await reads(there, 'Sheet 1 of ticket 1001, Aino Ruusu, Bootshaus Archery');

    const [archer] = /archers\/([^/]+)/.exec(href)!.slice(1);
    const before = await shop.get<Record<string, unknown>>(`/api/v1/jobs/${jobId}/sheets/1`);
    await page.type('#erase-name', 'Aino');
    await click(page, button('Erase for good'));
    await reads(page, 'Write the name as it stands above');
    await page.click('#erase-name', { clickCount: 3 });
    await page.type('#erase-name', 'Aino Ruusu');
    await click(page, button('Erase for good'));
    await reads(page, 'What is left says nothing of who it was');
    expect(await pageText(page)).not.toContain('Aino');
    expect(await shop.get(`/api/v1/find?q=Aino`)).toEqual([]);
    const sheet = await shop.get<Record<string, unknown>>(`/api/v1/jobs/${jobId}/sheets/1`);
    expect(sheet).toMatchObject({ archer: { name: 'erased' }, settings: before.settings });
    expect(JSON.stringify(sheet)).not.toMatch(/Aino|Ruusu/);
    expect((await shop.ask(`/api/v1/jobs/${jobId}/sheets/1/pdf`)).status).toBe(200);
    await visit(page, `${shop.url}/jobs/${jobId}/sheet/1`);
    await reads(page, 'erased', '[data-part="sheet"]');
    const done = await shop.get<{ lines: { what: string }[] }>('/api/v1/audit?kind=people');
    expect(done.lines[0]!.what).toBe('A person was erased, tickets 1001');
    expect(
      (await shop.send(`/api/v1/archers/${archer}`, { name: 'erased' }, 'DELETE')).status,
    ).toBe(409);
  } finally {
    await Promise.all([shop.close(), other.close()]);
  }
}, 240_000);
