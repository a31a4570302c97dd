import type { CamCharacter } from '../bow';
import { examples } from '../testing/examples';
import { gram, mm, newton } from '../units';
import { grainsPerPound, neededSpineIn, spineVerdict } from '.';

describe('spine, against the worked cases of the whole arrow', () => {
  test.each(examples('arrow'))('$title', ({ request, response }) => {
    const r = request as Record<string, number>;
    const wanted = response as Record<string, number>;
    const needed = neededSpineIn({
      peakN: newton(r.peakN!),
      character: request.character as CamCharacter,
      shaftLengthMm: mm(r.shaftLengthMm!),
      pointAndInsertG: gram(r.pointG! + r.insertG!),
    });
    expect(Math.abs(needed / wanted.neededSpineIn! - 1)).toBeLessThan(1e-5);
    expect(grainsPerPound(gram(wanted.massG!), newton(r.peakN!))).toBeCloseTo(
      wanted.grainsPerPound!,
      4,
    );
    expect(spineVerdict(r.staticSpineIn!, needed)).toBe(wanted.spineVerdict);
  });
  test.each([
    [0.531, 'weak'],
    [0.53, 'good'],
    [0.44, 'good'],
    [0.43, 'stiff'],
  ])('%d in against 0.5 in needed is %s', (spine, verdict) => {
    expect(spineVerdict(spine, 0.5)).toBe(verdict);
  });
});
