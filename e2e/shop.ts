import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ChildProcess } from 'node:child_process';
import puppeteer, { type Browser, type Page } from 'puppeteer-core';
import type { JobSnapshot } from '@/core/job';
import { CHROMIUM_FLAGS, chromiumPath, freePort, startServer } from '../scripts/serve.cjs';

/** A morning at work, whenever the tests run. */
export const NOW = '2026-11-24T10:20:00+01:00';

/** A shop of its own for one test file: database, server, browser. */
export class TestShop {
  /** What the pages' consoles complained of; a refused request is told there by the browser itself. */
  readonly complaints: string[] = [];
  private constructor(
    readonly url: string,
    private readonly port: number,
    private readonly folder: string,
    private server: ChildProcess,
    private readonly browser: Browser,
  ) {}

  static async open(kind: 'demo' | 'empty'): Promise<TestShop> {
    const folder = mkdtempSync(join(tmpdir(), 'waffenrad-e2e-'));
    const db = join(folder, 'shop.sqlite');
    if (kind === 'demo') {
      const env = { ...process.env, WAFFENRAD_DB: db, WAFFENRAD_NOW: NOW };
      execFileSync('node_modules/.bin/tsx', ['demo/run-seed.ts'], { env, stdio: 'pipe' });
    }
    const port = await freePort(3600);
    const { child, url } = await startServer({ port, db, env: { WAFFENRAD_NOW: NOW } });
    const browser = await puppeteer.launch({
      executablePath: chromiumPath()!,
      args: CHROMIUM_FLAGS,
      userDataDir: join(folder, 'profile'),
    });
    return new TestShop(url, port, folder, child, browser);
  }

  async page(width = 1280, height = 800, hasTouch = false): Promise<Page> {
    const context = await this.browser.createBrowserContext();
    const page = await context.newPage();
    await page.setViewport({ width, height, hasTouch });
    page.on('pageerror', (error) => this.complaints.push(String(error)));
    page.on('console', (message) => {
      if (message.type() === 'error') this.complaints.push(message.text());
    });
    return page;
  }

  /** The server dies as by a power cut. */
  async kill(): Promise<void> {
    if (this.server.exitCode !== null || this.server.signalCode !== null) return;
    const gone = new Promise((resolve) => this.server.once('exit', resolve));
    this.server.kill('SIGKILL');
    await gone;
  }

  /** It comes up again on the same file and the same address. */
  async restart(): Promise<void> {
    await this.kill();
    const db = join(this.folder, 'shop.sqlite');
    const started = await startServer({ port: this.port, db, env: { WAFFENRAD_NOW: NOW } });
    this.server = started.child;
  }

  async close(): Promise<void> {
    await this.browser.close();
    this.server.kill('SIGKILL');
    rmSync(this.folder, { recursive: true, force: true });
  }

  async get<T>(path: string): Promise<T> {
    return (await fetch(this.url + path)).json() as Promise<T>;
  }

  async send(path: string, body: unknown, method = 'POST') {
    const response = await fetch(this.url + path, {
      method,
      headers: { 'content-type': 'application/json' },
      body: typeof body === 'string' ? body : JSON.stringify(body),
    });
    return {
      status: response.status,
      type: response.headers.get('content-type'),
      body: (await response.json()) as Record<string, unknown>,
    };
  }

  async jobOf(name: string): Promise<string> {
    const found = await this.get<{ jobId: string }[]>(`/api/v1/find?q=${encodeURIComponent(name)}`);
    if (!found[0]) throw new Error(`No job of ${name}`);
    return found[0].jobId;
  }

  snapshot(jobId: string): Promise<JobSnapshot> {
    return this.get(`/api/v1/jobs/${jobId}`);
  }
}
