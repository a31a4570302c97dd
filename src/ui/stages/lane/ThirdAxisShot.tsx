'use client';
import { jobThirdAxis, laneEntry, THIRD_AXIS_FINE_DEG } from '@/core/job';
import { read } from '@/core/units';
import { Text } from '../../pieces/Text';
import { useJob } from '../../job/JobProvider';
import { useKept } from '../../keep/useKept';
import { marksWords } from '../../words';
import { SmallNumber } from '../../fields/SmallNumber';
import { Block, BlockTitle } from '../../pieces/layout';
import { Note } from '../../pieces/texts';
import entryCss from './entry.module.css';

const w = marksWords.third;
type Read = ReturnType<typeof read>;

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
  const far = read(text.distance, laneEntry('slopeDistance', units));
  const [upSlope, downSlope] = [text.upSlope, text.downSlope].map((value) =>
    read(value, laneEntry('slope', units)),
  ) as [Read, Read];
  const [upRight, downRight] = [text.upRight, text.downRight].map((value) =>
    read(value, laneEntry('groupRight', units)),
  ) as [Read, Read];
  const put = (field: keyof typeof text) => (value: string) => setText({ ...text, [field]: value });
  const answer =
    far.ok && upSlope.ok && downSlope.ok && upRight.ok && downRight.ok
      ? jobThirdAxis(derived, far.si, [
          { rightMm: upRight.si, slopeDeg: upSlope.si },
          { rightMm: downRight.si, slopeDeg: downSlope.si },
        ])
      : 'unknown';
  return (
    <Block>
      <BlockTitle>{w.title}</BlockTitle>
      <Text soft>{w.hint}</Text>
      <div className={entryCss.tearFields}>
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
      {answer !== 'unknown' && <Off answer={answer} />}
    </Block>
  );
}

function Off({ answer }: { answer: 'flat' | { readonly offDeg: number } }) {
  const off = answer === 'flat' ? null : answer.offDeg;
  const fine = off !== null && Math.abs(off) <= THIRD_AXIS_FINE_DEG;
  return (
    <Note role="status" kind={fine ? 'good' : undefined}>
      {off === null ? (
        w.flat
      ) : fine ? (
        w.fine
      ) : (
        <>
          <b>{w.off(off.toFixed(1).replace('-', '−'))}.</b> {w.turn(off > 0)} {w.enter}
        </>
      )}
    </Note>
  );
}
