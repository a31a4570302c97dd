import { AIM_FILE_LIMIT, MOST_AIM_ROWS, readAimFile, writeAimFile } from './aim-file';

describe('a trace in a file', () => {
  test('what is written reads back', () => {
    const samples = { t: [0, 0.005, 0.01], r: [1.25, -0.5, 0], u: [0, 0.125, -31.5] };
    expect(readAimFile(writeAimFile(samples))).toEqual({ ok: true, samples });
  });
  test('units stand in the header, columns in any order, others are passed over', () => {
    const read = readAimFile('up_deg,note,TIME_MS,right_urad\n0.1,x,5,2500\n');
    if (!read.ok) throw new Error(read.message);
    // From its own beginning on, whatever clock it has.
    expect(read.samples.t[0]).toBe(0);
    expect(read.samples.r[0]).toBeCloseTo(2.5, 12);
    // A tenth of a degree is 1.745 mrad.
    expect(read.samples.u[0]).toBeCloseTo(1.7453, 4);
  });
  test.each([
    ['', /names no time_s/],
    ['time_s,right_mrad\n0,1\n', /names no up_mrad/],
    ['time_s,right_mrad,up_mrad\n0,1,NaN\n', /Line 2: “NaN” is no number/],
    ['time_s,right_mrad,up_mrad\n0,1,1e9\n', /“1e9” is no number/],
    ['time_s,right_mrad,up_mrad\n0,1\n', /“” is no number/],
    ['time_s,right_mrad,up_mrad\n0,5000,0\n', /Line 2 points more than 1000 mrad away/],
    ['time_s,right_mrad,up_mrad\n0,0,0\n5000,0,0\n', /Line 3 lies more than 300 s after/],
    [`time_s,right_mrad,up_mrad\n${'0,0,0\n'.repeat(MOST_AIM_ROWS + 1)}`, /at most 12000/],
    ['x'.repeat(AIM_FILE_LIMIT + 1), /larger than 2 MB/],
  ])('is refused with what is wrong', (text, says) => {
    expect(readAimFile(text)).toMatchObject({
      ok: false,
      message: expect.stringMatching(says) as string,
    });
  });
});
