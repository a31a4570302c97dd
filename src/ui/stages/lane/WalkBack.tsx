'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { laneEntry } from '@/core/job';
import { driftWords, latest } from '@/core/setup';
import { walkBack } from '@/core/tuning';
import { metre, mm, read, write } from '@/core/units';
import { Text } from '../../pieces/Text';
import { WalkBackDrawing } from '../../drawings/WalkBackDrawing';
import { Dock } from '../../job/Dock';
import { useKept } from '../../keep/useKept';
import { useJob } from '../../job/JobProvider';
import { paperWords } from '../../words';
import { useDraft } from '../../keep/useDraft';
import { NumberSet } from '../../fields/NumberSet';
import { Rows, StepSay } from '../../pieces/layout';
import { FieldError, Note } from '../../pieces/texts';
import { RestContradiction } from './RestContradiction';
import entryCss from './entry.module.css';

const p = paperWords.walk;
interface Typed {
  readonly distance: string;
  readonly right: string;
}

/** Hits beside a plumb line from several distances: what they say of the centre shot. */
export function WalkBack() {
  const { snapshot, derived, send } = useJob();
  const units = snapshot.shop.units;
  const draft = `${snapshot.job.id}.walk`;
  const { value: hits, set: setHits } = useKept<readonly Typed[]>(`${draft}.hits`, () => []);
  const [distanceText, putDistance] = useDraft(`${draft}.d`);
  const [rightText, putRight] = useDraft(`${draft}.r`);
  const text: Typed = { distance: distanceText, right: rightText };
  const setText = (next: Typed) => {
    putDistance(next.distance);
    putRight(next.right);
  };
  const [trouble, setTrouble] = useState('');
  const farOptions = laneEntry('distance', units);
  const besideOptions = laneEntry('besideLine', units);
  const far = (distance: string) => read(distance, farOptions);
  const beside = (right: string) => read(right, besideOptions);
  // A line shot before the rest was moved says nothing any more: it would move it twice.
  const stale = derived.plan.stale.some(({ key }) => key === 'walkBack');
  const kept = stale ? null : latest(derived.history, 'walkBack');
  const points =
    hits.length > 0
      ? hits.map((hit) => {
          const [d, r] = [far(hit.distance), beside(hit.right)];
          return { distanceM: metre(d.ok ? d.si : 0), rightMm: r.ok ? r.si : 0 };
        })
      : kept?.data?.kind === 'walkBack'
        ? kept.data.hits.map((hit) => ({ ...hit, distanceM: metre(hit.distanceM) }))
        : [];
  const length = latest(derived.history, 'drawLength')?.si ?? null;
  const answer = points.length > 0 && length !== null ? walkBack(points, mm(length)) : null;
  const add = () => {
    const [d, r] = [far(text.distance), beside(text.right)];
    if (!d.ok) return setTrouble(d.message);
    if (!r.ok) return setTrouble(r.message);
    setTrouble('');
    setHits([...hits, text]);
    setText({ distance: '', right: '' });
  };
  const take = () =>
    void send({ name: 'takeWalkBack', hits: hits.map((hit) => ({ ...hit })) }).then((problem) => {
      setTrouble(problem?.message ?? '');
      if (!problem) setHits([]);
    });
  return (
    <div className={entryCss.tearSplit}>
      <WalkBackDrawing
        points={points}
        line={answer?.ok ? answer : null}
        say={(m) => write(m, 'distance', units, { decimals: 0 })}
      />
      <Stack spacing={2}>
        <StepSay>{p.hint}</StepSay>
        <Dock>
          <NumberSet
            numbers={[
              {
                label: p.distance,
                text: text.distance,
                onText: (distance) => setText({ ...text, distance }),
                result: far(text.distance),
                options: farOptions,
                placeholder: units.distance === 'yd' ? '20 yd' : '20 m',
              },
              {
                label: p.right,
                text: text.right,
                onText: (right) => setText({ ...text, right }),
                result: beside(text.right),
                options: besideOptions,
              },
            ]}
            onSubmit={add}
          >
            <Button type="submit" variant="outlined" fullWidth>
              {p.add}
            </Button>
          </NumberSet>
        </Dock>
        {hits.length > 0 && (
          <Rows>
            {hits.map((hit, i) => (
              <li key={i}>
                <Text variant="figure">{hit.distance}</Text>
                <Text variant="figure">{hit.right}</Text>
                <Button
                  variant="text"
                  size="small"
                  onClick={() => setHits(hits.filter((_, k) => k !== i))}
                >
                  {p.remove}
                </Button>
              </li>
            ))}
          </Rows>
        )}
        {answer?.ok && <Says answer={answer} noted={hits.length === 0} />}
        {stale && hits.length === 0 && <Note>{p.again}</Note>}
        {answer && !answer.ok && <Text soft>{answer.message}</Text>}
        {hits.length > 0 && (
          <Button variant="contained" disabled={!answer?.ok} onClick={take}>
            {p.take}
          </Button>
        )}
        <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
      </Stack>
    </div>
  );
}

function Says({
  answer,
  noted,
}: {
  answer: Extract<ReturnType<typeof walkBack>, { ok: true }>;
  /** Only a line that was noted is moved by. */
  noted: boolean;
}) {
  const { snapshot, send } = useJob();
  const { bow, archer } = snapshot;
  if (answer.bends) return <Note>{p.bends}</Note>;
  const [low, high] = answer.interval.map((mm) => mm.toFixed(1).replace('-', '−')) as [
    string,
    string,
  ];
  if (answer.told === 'notTold')
    return <Note role="status">{p.notTold(low, high, answer.hitsNeeded)}</Note>;
  if (answer.told === 'straight' || answer.restMm === 0)
    return (
      <Note kind="good" role="status">
        {answer.told === 'straight' ? p.straight(low, high) : p.small}
      </Note>
    );
  const words = paperWords.advice(
    'restSideways',
    answer.restMm,
    bow?.hand ?? archer.hand,
    bow?.yokes ?? null,
    (size) => `${size} mm`,
  );
  return (
    <Note role="status">
      <p>{p.drift(driftWords(answer.mmPerM))}</p>
      <p>
        <b>{words}</b>
      </p>
      {noted && <RestContradiction />}
      {noted && (
        <Button
          variant="outlined"
          onClick={() =>
            void send({ name: 'movePaper', adjustment: 'restSideways', amount: answer.restMm })
          }
        >
          {paperWords.done}
        </Button>
      )}
    </Note>
  );
}
