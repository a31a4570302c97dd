'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { readPracticeLine } from '@/contracts/practice-archer';
import { group, groupSpread, pinClicks, type GroupResult, type Hit } from '@/core/flight';
import { confirmedShots, dropsBelow, jobMarks, type JobDerived } from '@/core/job';
import { itemOf } from '@/core/kit';
import type { HitPoint } from '@/core/setup';
import { metre, mm, read, write } from '@/core/units';
import { TargetDrawing } from '../../drawings/TargetDrawing';
import { useDevice } from '../../fields/useDevice';
import { useJob } from '../../job/JobProvider';
import { useKept } from '../../keep/useKept';
import { useStage } from '../../job/useStage';
import { devices as d, lane as w, marksWords as m } from '../../words';
import { SmallNumber } from '../../fields/SmallNumber';
import { TypedHit } from './TypedHit';

const SPANS_MM = [150, 300, 600, 1200];
const PRACTICE_ARROWS = 3;

/** Hits on a target: their middle, whether it is off, the pin's move, and the distance confirmed. */
export function GroupWork({ radiusMm }: { radiusMm: number }) {
  const { snapshot, derived, send } = useJob();
  const { go } = useStage();
  const units = snapshot.shop.units;
  const shots = confirmedShots(derived);
  const first = shots[0]?.distanceM ?? null;
  const kept = `${snapshot.job.id}.group`;
  const keptDistance = useKept(`${kept}.distance`, () =>
    usualDistance(first, snapshot.job.furthestM, units.distance),
  );
  const { value: distance, set: setDistance } = keptDistance;
  const keptHits = useKept<readonly Hit[]>(`${kept}.hits`, () => []);
  const { value: hits, set: setHits } = keptHits;
  const [span, setSpan] = useState(1);
  const [moved, setMoved] = useState({ right: 0, up: 0 });
  const [trouble, setTrouble] = useState('');
  const how = read(distance, {
    quantity: 'distance',
    shop: units,
    min: 3,
    max: 150,
    what: 'distance',
  });
  const further = first !== null && how.ok && Math.abs(how.si - first) >= 0.5;
  const expected = usePredicted(how.ok ? how.si : null);
  const keptDrop = useKept<string | null>(`${kept}.drop`, () => null);
  const { value: typedDrop, set: setDrop } = keptDrop;
  const drop = typedDrop ?? (expected === null ? '' : `${expected.toFixed(1)} mm`);
  const dropRead = read(drop, {
    quantity: 'length',
    shop: units,
    bareUnit: 'mm',
    min: -30,
    max: 250,
    what: 'pin below the first distance',
  });
  const answer =
    how.ok && hits.length > 0
      ? group({ hits, distanceM: metre(how.si), peepToPinMm: mm(radiusMm) })
      : null;
  const confirm = async (corrected: boolean) => {
    if (further && !dropRead.ok) return setTrouble(dropRead.message);
    const refused = await send({
      name: 'takeGroup',
      distance,
      hits: hits.map((hit) => ({ ...hit })),
      ...(further ? { pinDrop: drop, corrected } : {}),
    });
    setTrouble(refused?.message ?? '');
    if (!refused) [keptDistance, keptHits, keptDrop].forEach(({ settled }) => settled());
    if (!refused && first === null) go('lane', { part: 'marks' });
  };
  const archer = useDevice(snapshot.job.id, 'practice-archer', (line) => {
    const heard = readPracticeLine(line);
    if (heard.kind === 'junk') return 'junk';
    return heard.kind === 'hit'
      ? { reading: { rightMm: mm(heard.rightMm), upMm: mm(heard.upMm) } }
      : 'nothing';
  });
  const practise = () =>
    archer.start(
      {
        what: 'target',
        shots: PRACTICE_ARROWS,
        distance: how.ok ? how.si : 18,
        drop: further && dropRead.ok ? dropRead.si : 0,
        pinRight: moved.right,
        pinUp: moved.up,
        again: hits.length,
      },
      (got) => {
        setHits([...hits, ...got]);
        const far = Math.max(...got.flatMap((hit) => [Math.abs(hit.rightMm), Math.abs(hit.upMm)]));
        const wide = SPANS_MM.findIndex((half) => half > far);
        setSpan(Math.max(span, wide < 0 ? SPANS_MM.length - 1 : wide));
      },
    );
  const before = lastHits(derived);
  const said = how.ok ? write(how.si, 'distance', units, { decimals: 0 }) : '';
  const correctedMm =
    further && answer?.adjust && dropRead.ok ? dropRead.si - answer.pinMove!.upMm : null;
  const spread = hits.length > 1 ? groupSpread(hits) : null;
  return (
    <div className="group-split">
      <div className="stack target-side">
        <TargetDrawing
          halfMm={SPANS_MM[span]!}
          hits={hits}
          centre={answer?.centre ?? null}
          ellipse={spread?.confidence ?? null}
          before={hits.length === 0 ? before : []}
          onTap={(hit) => setHits([...hits, hit])}
        />
        <div className="actions hit-actions">
          <b className="figure">{w.hits(hits.length)}</b>
          <Button
            variant="text"
            size="small"
            disabled={hits.length === 0}
            onClick={() => setHits(hits.slice(0, -1))}
          >
            {w.removeLast}
          </Button>
          <Button
            variant="text"
            size="small"
            disabled={span === 0}
            onClick={() => setSpan(span - 1)}
          >
            {w.closer}
          </Button>
          <Button
            variant="text"
            size="small"
            disabled={span === SPANS_MM.length - 1}
            onClick={() => setSpan(span + 1)}
          >
            {w.wider}
          </Button>
        </div>
        <Button
          variant="text"
          className="practise"
          title={d.practiceHint}
          disabled={archer.state === 'live' || !how.ok}
          onClick={practise}
        >
          {d.practiseMany}
        </Button>
      </div>
      <div className="stack">
        <div className="group-fields">
          <SmallNumber
            name="group-distance"
            label={w.distanceLabel}
            text={distance}
            placeholder="18 m"
            onText={(text) => {
              setDistance(text);
              setDrop(null);
            }}
            result={how}
          />
          {further && <SmallNumber label={m.drop} text={drop} onText={setDrop} result={dropRead} />}
        </div>
        <p className="soft">
          {further
            ? `${m.dropRead} ${expected === null ? '' : m.dropHint(expected.toFixed(1))}`
            : first === null
              ? w.hitsHint
              : m.first(write(first, 'distance', units, { decimals: 0 }))}
        </p>
        {spread && (
          <p className="small soft">
            {m.group(`${spread.rmsMm.toFixed(0)} mm`, `${spread.widestMm.toFixed(0)} mm`)}
          </p>
        )}
        {answer && <Judgement answer={answer} />}
        <div className="actions">
          <Button
            variant="contained"
            disabled={!answer || answer.pValue === null || answer.adjust}
            onClick={() => void confirm(false)}
          >
            {`${w.confirm} ${said}`}
          </Button>
          {answer?.adjust && (
            <Button
              variant="outlined"
              onClick={() => {
                const { rightMm, upMm } = answer.pinMove!;
                setMoved({ right: moved.right + rightMm, up: moved.up + upMm });
                if (further && dropRead.ok) setDrop(`${(dropRead.si - upMm).toFixed(1)} mm`);
                setHits([]);
              }}
            >
              {m.moved}
            </Button>
          )}
          {correctedMm !== null && (
            <Button variant="text" onClick={() => void confirm(true)}>
              {m.takeCorrected(said, correctedMm.toFixed(1))}
            </Button>
          )}
        </div>
        <p className="field-error" role={trouble ? 'alert' : undefined}>
          {trouble || archer.message}
        </p>
        <TypedHit onHit={(hit) => setHits([...hits, hit])} />
      </div>
    </div>
  );
}

/** Where the next group is best shot: the usual first distance, then far out, then between. */
function usualDistance(first: number | null, furthestM: number | null, unit: 'm' | 'yd'): string {
  if (first === null) return unit === 'yd' ? '20 yd' : '18 m';
  const perUnit = unit === 'yd' ? 0.9144 : 1;
  const far = Math.max(first + 15 * perUnit, Math.min(furthestM ?? 50, 90));
  return `${Math.round(far / perUnit / 5) * 5} ${unit}`;
}

/** Hits of the newest group that was confirmed. */
function lastHits({ history }: JobDerived): readonly HitPoint[] {
  const groups = [...(history.get('firstMark') ?? []), ...(history.get('markShot') ?? [])]
    .flatMap(({ seq, data }) =>
      data?.kind === 'group' || (data?.kind === 'mark' && data.hits.length > 0)
        ? [{ seq, hits: data.hits }]
        : [],
    )
    .sort((a, b) => b.seq - a.seq);
  return groups[0]?.hits ?? [];
}

/** What the marks say of this distance before it is shot, mm below the first. */
function usePredicted(distanceM: number | null): number | null {
  const { derived } = useJob();
  if (distanceM === null) return null;
  const { flight, referenceM } = jobMarks(derived, [metre(distanceM)]);
  return flight
    ? (dropsBelow(flight, flight.speedMps, referenceM, [metre(distanceM)])?.[0] ?? null)
    : null;
}

function Judgement({ answer }: { answer: GroupResult }) {
  const { derived } = useJob();
  const click = itemOf(derived.kit, 'sight')?.attrs.clickMm ?? null;
  if (answer.pValue === null) return <p className="note">{w.few(answer.hitsNeeded!)}</p>;
  if (!answer.adjust) {
    return (
      <p className="note" data-kind="good" role="status">
        {w.onAim} {answer.hitsNeeded ? w.moreToShow(answer.hitsNeeded) : ''}
      </p>
    );
  }
  const { rightMm, upMm } = answer.pinMove!;
  const figure = (n: number) => Math.abs(n).toFixed(1);
  const small = (n: number) => Math.abs(n) < 0.05;
  const clicks = click === null ? null : pinClicks(answer.pinMove!, click);
  return (
    <p className="note pin-move" role="status">
      <b>
        {w.move(
          small(upMm) ? '' : upMm > 0 ? w.pinUp(figure(upMm)) : w.pinDown(figure(upMm)),
          small(rightMm)
            ? ''
            : rightMm > 0
              ? w.pinRight(figure(rightMm))
              : w.pinLeft(figure(rightMm)),
        )}
      </b>{' '}
      {clicks
        ? m.clicks(
            clicks.up === 0 ? '' : m.clicksUp(clicks.up),
            clicks.right === 0 ? '' : m.clicksRight(clicks.right),
            String(click),
          )
        : m.noClick}
    </p>
  );
}
