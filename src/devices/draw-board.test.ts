import { readBoardLine } from '@/contracts/draw-board';
import { curveFacts, storedEnergyJ, type CurvePoint, type ForceCurve } from '@/core/bow';
import { mm, newton } from '@/core/units';
import { DeviceLost } from './port';
import { drawBoardStandIn, type BoardOptions } from './stand-ins/draw-board';

const curve: ForceCurve = {
  drawLengthMm: mm(698.5),
  peakN: newton(200),
  braceHeightMm: mm(165),
  letOff: 0.8,
  character: 'balanced',
};
const board = (changes: Partial<BoardOptions> = {}) =>
  drawBoardStandIn({ curve, seed: 5, pauseMs: 0, ...changes });

async function linesOf(device: ReturnType<typeof board>, signal = new AbortController().signal) {
  const lines: string[] = [];
  for await (const line of device.lines(signal)) lines.push(line);
  return lines;
}

describe('the draw board’s stand-in', () => {
  test('sends what the format says, and its curve is the bow’s within noise and friction', async () => {
    const lines = await linesOf(board());
    const read = lines.map(readBoardLine);
    expect(read[0]).toEqual({ kind: 'board', version: 1 });
    const points = read.flatMap((l): CurvePoint[] => (l.kind === 'point' ? [l.point] : []));
    expect(read.at(-1)).toEqual({ kind: 'end', points: points.length });
    const facts = curveFacts(points);
    if (!facts.ok) throw new Error(facts.message);
    expect(facts.peakN / 200).toBeGreaterThan(1);
    expect(facts.peakN / 200).toBeLessThan(1.04);
    expect(facts.storedEnergyJ / storedEnergyJ(curve)).toBeCloseTo(1.015, 2);
  });
  test('the same seed sends the same, another another', async () => {
    expect(await linesOf(board())).toEqual(await linesOf(board()));
    expect(await linesOf(board({ seed: 6 }))).not.toEqual(await linesOf(board()));
  });
  test('over many seeds some lines are lost and some are junk, as with a real one', async () => {
    let [junk, short] = [0, 0];
    for (let seed = 0; seed < 20; seed++) {
      const kinds = (await linesOf(board({ seed }))).map((line) => readBoardLine(line).kind);
      junk += kinds.filter((kind) => kind === 'junk').length;
      short += kinds.filter((kind) => kind === 'point').length < 91 ? 1 : 0;
    }
    expect(junk).toBeGreaterThan(5);
    expect(short).toBeGreaterThan(10);
  });
  test('a pulled cable ends in a named loss; an abort ends quietly', async () => {
    await expect(linesOf(board({ pulledAfter: 10 }))).rejects.toThrow(DeviceLost);
    const gone = new AbortController();
    gone.abort();
    expect(await linesOf(board(), gone.signal)).toEqual(['board 1']);
  });
});
