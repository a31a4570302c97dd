import type { ReactNode } from 'react';
import { drawLength, methodEntry } from '@/core/fit';
import { lengthReadings, loopCounts, type JobDerived, type JobSnapshot } from '@/core/job';
import { write, type Mm } from '@/core/units';
import { WithFractions } from '../../fields/Figure';
import { bow, fit as w } from '../../words';

/** Why the draw length is what it is: the heaviest method, the school, the module. */
export function lengthReasons(
  { fitReadings, job, shop, bow: taken }: JobSnapshot,
  { fitLength }: JobDerived,
  loopMm: Mm,
): ReactNode[] {
  if (!fitLength) return [w.because.spread];
  const units = shop.units;
  const say = (value: number) => write(value, 'length', units);
  const best = fitLength.estimates.reduce((a, b) => (b.sigmaMm < a.sigmaMm ? b : a));
  const list = [
    w.because.weighs(methodEntry(best.method).name, say(methodEntry(best.method).sigmaMm)),
    w.because.spread,
  ];
  if (taken && fitLength.module) {
    const { stepMm, remainderMm, twists } = fitLength.module;
    list.push(
      Math.abs(remainderMm) < 0.8
        ? w.because.moduleExact(say(stepMm))
        : w.because.moduleDown(
            say(stepMm),
            write(remainderMm, 'length', units, { signed: true }),
            bow.twists(twists),
          ),
    );
  } else if (!taken) list.push(w.because.noBow);
  const spans = lengthReadings(fitReadings).filter(({ method }) => method === 'armSpan');
  if (spans.length > 0) {
    const on = loopCounts({ job, shop });
    const other = drawLength(spans, { loopCounts: !on, loopMm })!;
    list.push(w.because.school(on, job.loopCounts !== null, say(other.drawLengthMm)));
  }
  return list.map((text) => <WithFractions key={text} text={text} />);
}
