import { aBow } from '../testing/fixtures';
import { gram, mm, newton } from '../units';
import { launchSpeed, speedSensitivity, type LaunchSpeedInput } from '.';

const input: LaunchSpeedInput = {
  bow: aBow(),
  setting: { drawLengthMm: mm(711), peakN: newton(230) },
  arrowG: gram(26),
};

describe('what a change does to the speed', () => {
  const answer = speedSensitivity(input);
  if (!answer.ok) throw new Error(answer.message);

  test('carries the speed itself', () => {
    expect(answer).toMatchObject({ ...launchSpeed(input) });
  });
  test('weight and length make faster, mass makes slower', () => {
    expect(answer.perPoundMps).toBeGreaterThan(0);
    expect(answer.perHalfInchMps).toBeGreaterThan(0);
    expect(answer.perGramMps).toBeLessThan(0);
  });
  test.each([
    [
      'a pound',
      { ...input, setting: { ...input.setting, peakN: newton(230 + 4.4482) } },
      answer.perPoundMps,
    ],
    [
      'half an inch',
      { ...input, setting: { ...input.setting, drawLengthMm: mm(723.7) } },
      answer.perHalfInchMps,
    ],
    ['a gram', { ...input, arrowG: gram(27) }, answer.perGramMps],
  ])('%s more is what the model itself says, to a few parts in a hundred', (_, changed, slope) => {
    const there = launchSpeed(changed);
    if (!there.ok) throw new Error(there.message);
    expect((there.speedMps - answer.speedMps) / slope).toBeCloseTo(1, 1);
  });
  test('a model that refuses is passed on', () => {
    expect(speedSensitivity({ ...input, arrowG: gram(8) })).toMatchObject({
      ok: false,
      reason: 'arrow-too-light',
    });
    const barely = gram((5 * 0.06479891 * 230) / 4.4482216152605 + 0.1);
    expect(speedSensitivity({ ...input, arrowG: barely })).toMatchObject({
      ok: false,
      reason: 'arrow-too-light',
    });
  });
});
