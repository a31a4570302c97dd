import { execFileSync } from 'node:child_process';

interface Plant {
  readonly path: string;
  readonly text: string;
  readonly rule: string;
}
interface Report {
  readonly planted: number;
  readonly missed: readonly Plant[];
  readonly refused: readonly Plant[];
  readonly unlisted: readonly string[];
}

describe('the rules of import', () => {
  const report = JSON.parse(
    execFileSync(process.execPath, ['scripts/lint/plants.mjs'], { encoding: 'utf8' }),
  ) as Report;

  test('every planted line is found: each area, each layer, clock, chance, circles, a long file', () => {
    expect(report.missed).toEqual([]);
    expect(report.planted).toBeGreaterThan(300);
  });

  test('what the house allows is let through', () => expect(report.refused).toEqual([]));

  test('every folder of src, core and ui stands in its list', () =>
    expect(report.unlisted).toEqual([]));
});
