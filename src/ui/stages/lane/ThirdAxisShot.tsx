'use client';
import { sightMarks, thirdAxisFromGroups } from '@/core/flight';
import { jobMarks } from '@/core/job';
import { degree, metre, read } from '@/core/units';
import { useJob } from '../../job/JobProvider';
import { useKept } from '../../keep/useKept';
import { marksWords } from '../../words';
import { SmallNumber } from '../../fields/SmallNumber';

const w = marksWords.third;
const FINE_DEG = 0.3;

/** Third axis from two groups, up and down a slope: how far it is off and which way to turn. */
export function ThirdAxisShot() {
  const { snapshot, derived } = useJob();
  const units = snapshot.shop.units;
  const { value: text, set: setText } = useKept(`${snapshot.job.id}.thirdAxis`, () => ({
    distance: units.distance === 'yd' ? '30 yd' : '30 m',
    upSlope: '30',
    upRight: '',
    downSlope: '-30',
    downRight: '',
  }));
  const angle = (value: string, what: string) =>
    read(value, { quantity: 'angle', shop: units, min: -60, max: 60, what });
  const beside = (value: string) =>
    read(value, {
      quantity: 'length',
      shop: units,
      bareUnit: 'mm',
      min: -2000,
      max: 2000,
      what: w.right,
    });
  const far = read(text.distance, {
    quantity: 'distance',
    shop: units,
    min: 10,
    max: 100,
    what: 'distance',
  });
  const [upSlope, downSlope] = [angle(text.upSlope, w.up), angle(text.downSlope, w.down)];
  const [upRight, downRight] = [beside(text.upRight), beside(text.downRight)];
  const put = (field: keyof typeof text) => (value: string) => setText({ ...text, [field]: value });
  const launch = (distanceM: number, slopeDeg: number) => {
    const { flight } = jobMarks(derived, [metre(distanceM)]);
    if (!flight) return null;
    const answer = sightMarks({
      ...flight,
      clearance: undefined,
      distancesM: [metre(distanceM)],
      slopeDeg: degree(slopeDeg),
    });
    return answer.ok ? { ...answer.marks[0]!, peepToPinMm: flight.peepToPinMm } : null;
  };
  const ready = far.ok && upSlope.ok && downSlope.ok && upRight.ok && downRight.ok;
  const groups = ready
    ? (
        [
          [upRight.si, upSlope.si],
          [downRight.si, downSlope.si],
        ] as const
      ).map(([rightMm, slopeDeg]) => ({
        rightMm,
        slopeDeg,
        leaving: launch(far.si, slopeDeg),
      }))
    : null;
  const known = groups?.every((entry) => entry.leaving !== null) ?? false;
  const off =
    groups && known
      ? thirdAxisFromGroups(
          { ...groups[0]!, ...groups[0]!.leaving! },
          { ...groups[1]!, ...groups[1]!.leaving! },
          groups[0]!.leaving!.peepToPinMm,
        )
      : null;
  return (
    <section className="block">
      <h3 className="block-title">{w.title}</h3>
      <p className="soft">{w.hint}</p>
      <div className="tear-fields third-fields">
        <SmallNumber
          label={w.distance}
          text={text.distance}
          onText={put('distance')}
          result={far}
        />
        <SmallNumber label={w.up} text={text.upSlope} onText={put('upSlope')} result={upSlope} />
        <SmallNumber label={w.right} text={text.upRight} onText={put('upRight')} result={upRight} />
        <SmallNumber
          label={w.down}
          text={text.downSlope}
          onText={put('downSlope')}
          result={downSlope}
        />
        <SmallNumber
          label={w.right}
          text={text.downRight}
          onText={put('downRight')}
          result={downRight}
        />
      </div>
      {ready && known && (
        <p
          className="note"
          role="status"
          data-kind={off !== null && Math.abs(off) <= FINE_DEG ? 'good' : undefined}
        >
          {off === null ? (
            w.flat
          ) : Math.abs(off) <= FINE_DEG ? (
            w.fine
          ) : (
            <>
              <b>{w.off(off.toFixed(1).replace('-', '−'))}.</b> {w.turn(off > 0)} {w.enter}
            </>
          )}
        </p>
      )}
    </section>
  );
}
