import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { aBow, anItem } from '@/core/testing/fixtures';
import { type JobSnapshot, paperHistory, derive } from '@/core/job';
import { paperTune } from '@/core/tuning';
import { type Db, db as openShop } from '@/data/db';
import { insertBow, insertItem } from '@/data/stock';
import { createJob, runCommand } from './commands';
import { deviceAnswer } from './device-stream';
import { DEVICE_NAMES, deviceOf } from './devices';
import { practiceTear } from './practice';
import { Problem } from './problem';
import { loadSnapshot } from './load-snapshot';
import { tapeFile } from './tape';

let db: Db;
let job: JobSnapshot;
const send = (command: Record<string, unknown>) => {
  job = runCommand(job.job.id, { version: job.job.version, who: 'T', command }, db);
};
const take = (key: string, entered: string, more: object = {}) =>
  send({ name: 'takeReadings', readings: [{ key, entered, ...more }] });

beforeAll(() => {
  process.env.WAFFENRAD_DB = join(mkdtempSync(join(tmpdir(), 'waffenrad-lane-')), 'shop.sqlite');
  db = openShop();
  insertBow(db, aBow());
  insertItem(db, anItem('arrows', {}, { id: 'arrows' }));
  job = createJob({ who: 'T', archer: { name: 'Runa & Söhne <1>' }, job: {} }, db);
});

const query = (more: Record<string, string> = {}) => new URLSearchParams(more);
const problem = async (run: () => unknown) => {
  try {
    await run();
  } catch (error) {
    if (error instanceof Problem) return error;
    throw error;
  }
  throw new Error('No problem');
};

describe('devices of a job', () => {
  test('there is nothing on them before there is a bow, each says what it needs', async () => {
    for (const name of DEVICE_NAMES)
      expect((await problem(() => deviceOf(job.job.id, name, query()))).message).toMatch(/needs/);
    expect((await problem(() => deviceOf(job.job.id, 'oven', query()))).status).toBe(404);
    expect((await problem(() => deviceOf('nobody', 'chronograph', query()))).status).toBe(404);
  });
  test('with the bow they send what it would do, as server-sent events', async () => {
    send({ name: 'chooseBow', bowId: 'test-31-r' });
    send({ name: 'choosePart', slot: 'arrows', itemId: 'arrows', owned: false, label: '' });
    for (const [key, entered] of [
      ['moduleTop', '27 1/2'],
      ['drawLength', '657.55mm'],
      ['arrowMass', '24.6g'],
      ['peepTrueHeight', '118mm'],
      ['peepToPin', '750mm'],
      ['centreShot', '20.6mm'],
      ['nockHeight', '1mm'],
    ])
      take(key!, entered!);
    take('peakWeight', '190N', { entered2: '6' });
    const read = async (name: string, more: Record<string, string> = {}) => {
      const answer = await deviceAnswer(
        new Request(`http://shop/?${query(more).toString()}`),
        (options) => Promise.resolve(deviceOf(job.job.id, name, options)),
      );
      expect(answer.headers.get('content-type')).toBe('text/event-stream');
      return answer.text();
    };
    const whole = await read('chronograph', { shots: '3' });
    expect(whole).toMatch(/event: name\ndata: "Chronograph, stand-in"/);
    expect(whole).toContain('event: done');
    const cut = await read('chronograph', { shots: '3', pull: '1' });
    expect(cut).toContain('event: lost');
    expect(cut).not.toContain('event: done');
    expect(await read('bow-scale', { turns: '2' })).toMatch(/peak \d/);
    expect(await read('practice-archer', { what: 'paper' })).toMatch(/tear /);
    expect(await read('practice-archer', { what: 'target', shots: '3', distance: '18' })).toMatch(
      /hit /,
    );
    const aimed = await read('aim-sensor', { shot: '2', hold: '1' });
    expect(aimed).toMatch(/"at 0\.0000 /);
    expect(aimed).toMatch(/release \d/);
    expect(await read('aim-sensor', { hold: '1', pull: '100' })).toContain('event: lost');
  }, 60_000);
  test('fewer turns, more weight on the scale', async () => {
    const peak = async (turns: string) => {
      let last = '';
      const device = deviceOf(job.job.id, 'bow-scale', query({ turns }));
      for await (const line of device.lines(new AbortController().signal)) last = line;
      return Number(/peak ([\d.]+)/.exec(last)![1]);
    };
    expect(await peak('0')).toBeGreaterThan((await peak('4')) + 20);
  }, 60_000);
});

describe('a practice bow', () => {
  test('is tuned by the advice: its hidden tear goes under 4 mm within a few moves', () => {
    for (let i = 0; i < 40; i++) {
      const snapshot = loadSnapshot(job.job.id, db)!;
      const derived = derive(snapshot);
      const tear = practiceTear(snapshot, derived);
      const tune = paperTune({
        hand: 'right',
        school: 'rest',
        history: paperHistory(derived.history, 'right', 'none'),
      });
      if (tune.state === 'tuned') {
        expect(Math.hypot(tear.rightMm, tear.upMm)).toBeLessThan(4);
        expect(Object.values(tune.response.moved).some((moved) => moved !== 0)).toBe(true);
        return;
      }
      if (tune.state === 'adjust')
        send({
          name: 'movePaper',
          adjustment: tune.advice!.adjustment,
          amount: tune.advice!.amount,
        });
      else
        send({
          name: 'takeTear',
          right: `${tear.rightMm.toFixed(1)} mm`,
          up: `${tear.upMm.toFixed(1)} mm`,
          distance: '2 m',
        });
    }
    throw new Error('It was sent round in circles');
  });
});

describe('the tape as a file', () => {
  const numbers = (svg: string) =>
    [
      ...svg.matchAll(
        /<path d="M([\d.-]+) ([\d.-]+)L([\d.-]+) ([\d.-]+)" stroke="#000000" stroke-width="([\d.]+)"/g,
      ),
    ].map((match) => match.slice(1).map(Number));
  test('SVG is in millimetres, its ruler a hundred long, its words escaped', async () => {
    const { body, type, name } = await tapeFile(job.job.id, query({ format: 'svg', to: '40' }));
    expect(type).toContain('image/svg+xml');
    expect(name).toBe(`tape-${job.job.number}.svg`);
    const svg = String(body);
    expect(svg).toContain('width="210mm" height="297mm" viewBox="0 0 210 297"');
    expect(svg).toContain('Runa &amp; Söhne &lt;1&gt;');
    expect(
      numbers(svg).some(([x1, y1, x2, y2]) => y1 === y2 && Math.abs(x2! - x1! - 100) < 1e-6),
    ).toBe(true);
    expect(numbers(svg).filter((row) => row[4] === 0.25)).toHaveLength(31);
  });
  test('PDF is one page of the paper asked for', async () => {
    const { body, type } = await tapeFile(job.job.id, query({ paper: 'LETTER', to: '40' }));
    expect(type).toBe('application/pdf');
    const text = (body as Buffer).toString('latin1');
    expect(text.slice(0, 5)).toBe('%PDF-');
    expect(text).toMatch(/MediaBox \[0 0 612(\.0+\d*)? 792/);
    expect(text.match(/\/Type \/Page\b/g)).toHaveLength(1);
  });
  test.each<[Record<string, string>, number]>([
    [{ from: '40', to: '40' }, 422],
    [{ from: 'near' }, 400],
    [{ lineMm: '9' }, 400],
    [{ numbersEvery: '7' }, 400],
    [{ colour: 'red' }, 400],
    [{ format: 'doc' }, 400],
    [{ ratio: '' }, 400],
  ])('%j is refused', async (more, status) =>
    expect((await problem(() => tapeFile(job.job.id, query(more)))).status).toBe(status),
  );
  test('of nobody there is none', async () =>
    expect((await problem(() => tapeFile('nobody', query()))).status).toBe(404));
});
