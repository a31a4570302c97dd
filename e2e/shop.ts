import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ChildProcess } from 'node:child_process';
import puppeteer, { type Browser, type BrowserContext, type Page } from 'puppeteer-core';
import type { JobSnapshot } from '@/core/job';
import { ownPort, startServer } from '../scripts/serve.cjs';
import { cookieHeader, openToOwner, signIn, type Cookie } from '../scripts/sign-in.cjs';
import { calmMouse } from './apart';
import { quickKeys, visit, WAIT } from './hands';
import { NOW } from './now.cjs';

/** A shop of its own for one test file: database and server; the browser is one for all, a context a page. */
export class TestShop {
  /** What the pages' consoles complained of; a refused request is told there by the browser itself. */
  readonly complaints: string[] = [];
  private readonly contexts: BrowserContext[] = [];
  /** What a test opened itself is closed after it: a page left open goes on working. */
  private ofTest: BrowserContext[] | null = null;
  /** Contexts of tests that are over, empty of all that was typed and kept. */
  private readonly spare: BrowserContext[] = [];
  /** Pages that stand where a test left them: a tablet is not opened anew for every archer either. */
  private readonly standing: Page[] = [];
  /** Those that keep pages for when there is no connection. */
  private readonly keeping = new Set<BrowserContext>();
  private constructor(
    readonly url: string,
    private readonly port: number,
    private readonly folder: string,
    private readonly env: Record<string, string>,
    private server: ChildProcess,
    private readonly browser: Browser,
    /** What the tablet of T. Okoro keeps. */
    private kept: readonly Cookie[],
    private readonly staysOpen: boolean,
  ) {}

  get cookies(): readonly Cookie[] {
    return this.kept;
  }

  /** Another sign-in at the same tablet: what the browser was told to keep of it. */
  keep(cookies: readonly Cookie[]): void {
    this.kept = cookies
      .filter(({ name }) => /^waffenrad-(known|session)$/.test(name))
      .map(({ name, value }) => ({ name, value }));
  }

  /** The shop’s file. */
  get file(): string {
    return join(this.folder, 'shop.sqlite');
  }

  /**
   * The demo shop, a new one opened to its owner, or a place where no shop stands yet. Where a tablet stays open, the
   * next test goes on from the page the one before it left; a page that was made another one is closed by its test.
   */
  static async open(
    kind: 'demo' | 'empty' | 'none',
    { backups = false, staysOpen = false } = {},
  ): Promise<TestShop> {
    const folder = mkdtempSync(join(tmpdir(), 'waffenrad-e2e-'));
    const db = join(folder, 'shop.sqlite');
    if (kind === 'demo') copyFileSync(process.env.WAFFENRAD_SEEDED!, db);
    // Files that run side by side have a browser each.
    const worker = Number(process.env.JEST_WORKER_ID ?? 1);
    const port = await ownPort();
    const env = {
      WAFFENRAD_NOW: NOW,
      ...(backups ? { WAFFENRAD_BACKUPS: join(folder, 'backups') } : {}),
    };
    const { child, url } = await startServer({ port, db, env, fresh: kind === 'empty' });
    const browser = await puppeteer.connect({
      browserWSEndpoint: process.env.WAFFENRAD_BROWSERS!.split(' ')[worker - 1]!,
    });
    const cookies =
      kind === 'none'
        ? []
        : kind === 'demo'
          ? await signIn(url)
          : await openToOwner(url, 'T. Okoro', '2580');
    return new TestShop(url, port, folder, env, child, browser, cookies, staysOpen);
  }

  /**
   * A page of its own person: nothing is shared with another one. Only where it is asked for does it
   * keep pages for when there is no connection: that loads every stage in the background.
   */
  async page(
    width = 1280,
    height = 800,
    hasTouch = false,
    { keepsPages = false, signedIn = true } = {},
  ): Promise<Page> {
    const stood = keepsPages || !signedIn ? undefined : this.standing.pop();
    if (stood) {
      (this.ofTest ?? this.contexts).push(stood.browserContext());
      await stood.bringToFront();
      await stood.setViewport({ width, height, hasTouch });
      // From a page that asks for nothing: whatever is gone to next is another one.
      await visit(stood, `${this.url}/code`);
      return stood;
    }
    const spare = keepsPages ? undefined : this.spare.pop();
    const context = spare ?? (await this.browser.createBrowserContext());
    (this.ofTest ?? this.contexts).push(context);
    if (keepsPages) this.keeping.add(context);
    const { hostname: domain } = new URL(this.url);
    if (signedIn)
      await context.setCookie(
        ...this.cookies.map((cookie) => ({
          ...cookie,
          domain,
          path: '/',
          httpOnly: true,
          sameSite: 'Strict' as const,
        })),
      );
    const page = await context.newPage();
    quickKeys(page);
    calmMouse(page);
    page.setDefaultTimeout(WAIT.timeout);
    await page.setViewport({ width, height, hasTouch });
    if (!keepsPages)
      await page.evaluateOnNewDocument(() => {
        delete (Navigator.prototype as { serviceWorker?: unknown }).serviceWorker;
      });
    page.on('pageerror', (error) => this.complaints.push(String(error)));
    page.on('console', (message) => {
      if (message.type() === 'error') this.complaints.push(message.text());
    });
    return page;
  }

  /** Told by the test file where a test begins and ends. */
  testBegins(): void {
    this.ofTest = [];
  }
  async testEnds(): Promise<void> {
    const opened = this.ofTest ?? [];
    this.ofTest = null;
    await Promise.all(
      opened.map((one) => (this.keeping.has(one) ? one.close() : this.tidied(one))),
    );
  }

  /** The next test’s person gets it as new, but for the scripts it has fetched already. */
  private async tidied(context: BrowserContext): Promise<void> {
    const [page, ...others] = await context.pages();
    if (!page) return context.close();
    await Promise.all(others.map((other) => other.close()));
    if (this.staysOpen && page.url().startsWith(this.url)) {
      if (await page.$('[role="dialog"]')) await page.keyboard.press('Escape');
      await page.evaluate(() => [localStorage, sessionStorage].forEach((kept) => kept.clear()));
      return void this.standing.push(page);
    }
    const session = await page.createCDPSession();
    await session.send('Storage.clearDataForOrigin', { origin: this.url, storageTypes: 'all' });
    await page.close();
    this.spare.push(context);
  }

  /** The server dies as by a power cut. */
  async kill(): Promise<void> {
    if (this.server.exitCode !== null || this.server.signalCode !== null) return;
    const gone = new Promise((resolve) => this.server.once('exit', resolve));
    this.server.kill('SIGKILL');
    await gone;
  }

  /** Nothing is heard of it, as where the wireless does not reach: no answer, and no word that there is none. */
  silent(): void {
    this.server.kill('SIGSTOP');
  }
  heardAgain(): void {
    this.server.kill('SIGCONT');
  }

  /** It comes up again on the same file and the same address. */
  async restart(): Promise<void> {
    await this.kill();
    const db = join(this.folder, 'shop.sqlite');
    const started = await startServer({ port: this.port, db, env: this.env });
    this.server = started.child;
  }

  async close(): Promise<void> {
    const standing = this.standing.map((page) => page.browserContext());
    await Promise.all(
      [...this.contexts, ...this.spare, ...standing].map((context) => context.close()),
    );
    await this.browser.disconnect();
    this.server.kill('SIGKILL');
    rmSync(this.folder, { recursive: true, force: true });
  }

  /** `fetch` as the tablet of T. Okoro. By a connection of its own: a kept one may be shut in that moment. */
  ask(path: string, init: RequestInit = {}): Promise<Response> {
    const headers = { cookie: cookieHeader(this.cookies), connection: 'close', ...init.headers };
    return fetch(this.url + path, { ...init, headers });
  }

  async get<T>(path: string): Promise<T> {
    return (await this.ask(path)).json() as Promise<T>;
  }

  async send(path: string, body: unknown, method = 'POST') {
    const response = await this.ask(path, {
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

  /** An entry as a screen sends it, at the job’s present version. */
  async command(jobId: string, body: object) {
    const { job } = await this.snapshot(jobId);
    const response = await this.ask(`/api/v1/jobs/${jobId}/commands`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ version: job.version, command: body }),
    });
    return { status: response.status, body: (await response.json()) as object };
  }

  snapshot(jobId: string): Promise<JobSnapshot> {
    return this.get(`/api/v1/jobs/${jobId}`);
  }
}
