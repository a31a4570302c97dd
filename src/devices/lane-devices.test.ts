import { readAimLine, writeAim, writeRelease } from '@/contracts/aim-sensor';
import { readBowScaleLine, writePull } from '@/contracts/bow-scale';
import { readChronographLine, writeShot } from '@/contracts/chronograph';
import { readPracticeLine, writePractice } from '@/contracts/practice-archer';
import { hiddenArcher, holdTrace } from '@/core/hold';
import { gram, mm, newton, newtonMm } from '@/core/units';
import { DeviceLost, type Device } from './port';
import { aimSensorStandIn } from './stand-ins/aim-sensor';
import { bowScaleStandIn } from './stand-ins/bow-scale';
import { chronographStandIn } from './stand-ins/chronograph';
import { practiceArcher } from './stand-ins/practice-archer';

async function linesOf(device: Device, signal = new AbortController().signal) {
  const lines: string[] = [];
  for await (const line of device.lines(signal)) lines.push(line);
  return lines;
}
const aborted = () => {
  const stop = new AbortController();
  stop.abort();
  return stop.signal;
};

const chronograph = (more: object = {}) =>
  chronographStandIn({ speedMps: 80, shots: 60, seed: 5, pauseMs: 0, ...more });
const scale = (more: object = {}) =>
  bowScaleStandIn({
    curve: {
      drawLengthMm: mm(711),
      peakN: newton(220),
      braceHeightMm: mm(165),
      letOff: 0.8,
      character: 'balanced',
    },
    seed: 3,
    pauseMs: 0,
    ...more,
  });
const archer = (more: object = {}) =>
  practiceArcher({
    what: 'tear',
    rightMm: 10,
    upMm: -4,
    sigmaMm: 2,
    count: 200,
    seed: 9,
    pauseMs: 0,
    ...more,
  });

const aim = (more: object = {}) =>
  aimSensorStandIn({
    archer: hiddenArcher(4),
    bow: { massG: gram(2800), steadiness: 1.5, awayNmm: newtonMm(60) },
    shot: 0,
    holdS: 3,
    seed: 6,
    pauseMs: 0,
    ...more,
  });

describe.each<[string, (more?: object) => Device, string]>([
  ['chronograph', chronograph, 'chronograph 1'],
  ['bow scale', scale, 'bowscale 1'],
  ['practice archer', archer, 'archer 1'],
  ['aim sensor', aim, 'aim 1'],
])('the stand-in for a %s', (_, make, hello) => {
  test('greets first, says that it only stands in, and is the same for the same seed', async () => {
    expect(make()).toMatchObject({
      standIn: true,
      name: expect.stringContaining('stand-in') as string,
    });
    const lines = await linesOf(make());
    expect(lines[0]).toBe(hello);
    expect(await linesOf(make())).toEqual(lines);
    expect(await linesOf(make({ seed: 77 }))).not.toEqual(lines);
  });
  test('is pulled out in the middle: what came stays, then it is lost', async () => {
    const device = make({ pulledAfter: 3 });
    const lines: string[] = [];
    await expect(async () => {
      for await (const line of device.lines(new AbortController().signal)) lines.push(line);
    }).rejects.toThrow(DeviceLost);
    expect(lines.length).toBeGreaterThanOrEqual(3);
  });
  test('stops when nobody listens any more', async () => {
    expect(await linesOf(make(), aborted())).toEqual([hello]);
  });
});

test('the chronograph behaves like one: scatter, a vane seen for the point, drop-outs, garbled lines', async () => {
  const read = (await linesOf(chronograph({ shots: 400 }))).map(readChronographLine);
  const speeds = read.flatMap((line) => (line.kind === 'shot' ? [line.speedMps as number] : []));
  const right = speeds.filter((v) => v > 78);
  const wrong = speeds.filter((v) => v < 77);
  expect(right.reduce((sum, v) => sum + v, 0) / right.length).toBeCloseTo(80, 1);
  expect(wrong.length).toBeGreaterThan(10);
  expect(wrong.length).toBeLessThan(60);
  expect(speeds.length).toBeLessThan(400);
  expect(read.filter(({ kind }) => kind === 'junk').length).toBeGreaterThan(5);
});

test('the bow scale rises, falls past the peak, and gives the most of it at the end', async () => {
  const read = (await linesOf(scale())).map(readBowScaleLine);
  const last = read.at(-1)!;
  expect(last.kind).toBe('peak');
  const pulls = read.flatMap((line) => (line.kind === 'pull' ? [line.forceN as number] : []));
  expect(last.kind === 'peak' && last.forceN).toBeCloseTo(Math.max(...pulls), 1);
  expect(pulls.at(-1)!).toBeLessThan(0.5 * Math.max(...pulls));
  expect(Math.abs(Math.max(...pulls) / 220 - 1)).toBeLessThan(0.06);
});

test('the practice archer scatters about the place', async () => {
  const read = (await linesOf(archer())).map(readPracticeLine);
  const tears = read.flatMap((line) => (line.kind === 'tear' ? [line] : []));
  expect(tears).toHaveLength(200);
  const middle = tears.reduce((sum, { rightMm }) => sum + rightMm, 0) / tears.length;
  expect(middle).toBeCloseTo(10, 0);
});

describe('lines of a chronograph', () => {
  test.each([
    ['chronograph 1', { kind: 'hello', version: 1 }],
    ['shot 79.85 mps', { kind: 'shot', speedMps: 79.85 }],
    ['# no shot seen', { kind: 'note' }],
    ['', { kind: 'note' }],
    // 30 and 900 fps in m/s.
    ['shot 9.14 mps', { kind: 'junk', why: 'lies outside 20 to 130 m/s' }],
    ['shot 274.32 mps', { kind: 'junk', why: 'lies outside 20 to 130 m/s' }],
    ['shot 262 fps', { kind: 'junk', why: 'is not “shot NUMBER mps”' }],
    ['shot NaN mps', { kind: 'junk', why: 'is not “shot NUMBER mps”' }],
    ['shot 80 mps extra', { kind: 'junk', why: 'is not “shot NUMBER mps”' }],
    ['pull 200.0 N', { kind: 'junk', why: 'is not “shot NUMBER mps”' }],
    ['\u0000\u0001', { kind: 'junk', why: 'is not “shot NUMBER mps”' }],
    ['x'.repeat(400), { kind: 'junk', why: 'is longer than 80 characters' }],
  ])('%j', (line, read) => expect(readChronographLine(line)).toEqual(read));
  test('written and read', () =>
    expect(readChronographLine(writeShot(80.127))).toEqual({ kind: 'shot', speedMps: 80.13 }));
});

describe('lines of a bow scale', () => {
  test.each([
    ['bowscale 1', { kind: 'hello', version: 1 }],
    ['pull 123.4 N', { kind: 'pull', forceN: 123.4 }],
    ['peak 222.0 N', { kind: 'peak', forceN: 222 }],
    ['pull ---- N', { kind: 'junk', why: 'is not “pull NUMBER N” or “peak NUMBER N”' }],
    ['pull 50 lb', { kind: 'junk', why: 'is not “pull NUMBER N” or “peak NUMBER N”' }],
    ['peak 5000 N', { kind: 'junk', why: 'lies outside 0 to 600 N' }],
    ['peak -3 N', { kind: 'junk', why: 'lies outside 0 to 600 N' }],
  ])('%j', (line, read) => expect(readBowScaleLine(line)).toEqual(read));
  test('written and read', () =>
    expect(readBowScaleLine(writePull('peak', 201.26))).toEqual({ kind: 'peak', forceN: 201.3 }));
});

describe('lines of the practice archer', () => {
  test.each([
    ['archer 1', { kind: 'hello', version: 1 }],
    ['tear -12.5 3.0', { kind: 'tear', rightMm: -12.5, upMm: 3 }],
    ['hit 40.0 -22.1', { kind: 'hit', rightMm: 40, upMm: -22.1 }],
    ['hit 40.0', { kind: 'junk', why: 'is not “tear RIGHT UP” or “hit RIGHT UP”' }],
    ['hit 1 2 3', { kind: 'junk', why: 'is not “tear RIGHT UP” or “hit RIGHT UP”' }],
    ['hit 9000 2', { kind: 'junk', why: 'lies outside 3000 mm' }],
  ])('%j', (line, read) => expect(readPracticeLine(line)).toEqual(read));
  test('written and read', () =>
    expect(readPracticeLine(writePractice('tear', -3.14, 2))).toEqual({
      kind: 'tear',
      rightMm: -3.1,
      upMm: 2,
    }));
});

test('an aim sensor sends what a hold is read from, with drop-outs and garbled lines between', async () => {
  const read = (await linesOf(aim())).map(readAimLine);
  const samples = read.flatMap((line) => (line.kind === 'at' ? [line] : []));
  const release = read.flatMap((line) => (line.kind === 'release' ? [line.tS] : []));
  expect(release).toHaveLength(1);
  expect(samples.length).toBeGreaterThan(900);
  // 3 s of hold, what comes before and after, 200 a second: some are missing.
  expect(samples.length).toBeLessThan(200 * 5 + 1);
  const found = holdTrace({ samples, releaseS: release[0]! });
  expect(found).toMatchObject({ ok: true });
  const many = await Promise.all(
    Array.from({ length: 8 }, (_, i) => linesOf(aim({ seed: 90 + i }))),
  );
  expect(
    many
      .flat()
      .map(readAimLine)
      .some(({ kind }) => kind === 'junk'),
  ).toBe(true);
});

test.each([
  ['aim 1', { kind: 'hello', version: 1 }],
  ['# sensor warm', { kind: 'note' }],
  [writeAim(1.5, -0.25, 3), { kind: 'at', tS: 1.5, rightMrad: -0.25, upMrad: 3 }],
  [writeRelease(4), { kind: 'release', tS: 4 }],
  ['at 1 2', { kind: 'junk' }],
  ['at 1 2 3 4', { kind: 'junk' }],
  ['at NaN 1 1', { kind: 'junk' }],
  ['at -1 0 0', { kind: 'junk' }],
  ['at 1 900 0', { kind: 'junk' }],
  ['at 1e3 0 0', { kind: 'junk' }],
  ['release', { kind: 'junk' }],
  ['release 4000', { kind: 'junk' }],
])('“%s” from an aim sensor', (line, wanted) => expect(readAimLine(line)).toMatchObject(wanted));
