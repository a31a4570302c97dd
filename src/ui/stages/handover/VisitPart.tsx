'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import {
  openVisitOf,
  readOptionsFor,
  VISIT_KINDS,
  visitRows,
  type VisitKind,
  type VisitRow,
} from '@/core/job';
import { readingText, setupValue, writeValue, type SetupKey } from '@/core/setup';
import { read } from '@/core/units';
import { whenText } from '../../fields/dates';
import { WithFractions } from '../../fields/Figure';
import { TextField } from '../../fields/TextField';
import { useJob } from '../../job/JobProvider';
import { ReasonButton } from '../../job/ReasonButton';
import { whereTaken } from '../../job/step-of';
import { useStage } from '../../job/useStage';
import { useKept } from '../../keep/useKept';
import { Block, Rows } from '../../pieces/layout';
import { FieldError, Tag } from '../../pieces/texts';
import { Text } from '../../pieces/Text';
import { visit as w } from '../../words';
import css from './VisitPart.module.css';

/** What is looked at on a visit: as it left, as it is now, and which way it went. */
export function VisitPart() {
  const { snapshot, derived, send } = useJob();
  const visit = openVisitOf(snapshot.job);
  if (!visit) return null;
  const rows = visitRows(visit, derived.history);
  const done = rows.filter(({ now }) => now !== null).length;
  return (
    <Block>
      <h3>
        {VISIT_KINDS.find(({ id }) => id === visit.kind)!.name}{' '}
        <Text soft as="span">
          {w.count(done, rows.length)}
        </Text>
      </h3>
      <Text soft>
        {w.since(whenText(visit.at, snapshot.shop.timeZone, snapshot.today), visit.who)}
        {visit.words && `: ${visit.words}`}
      </Text>
      <Rows className={css.rows} data-part="visit">
        {rows.map((row) => (
          <OneRow key={row.key} row={row} />
        ))}
      </Rows>
      <ReasonButton
        title={w.leave}
        text={w.leaveText}
        action={w.leave}
        onReason={(reason) => send({ name: 'closeVisit', reason })}
      >
        {w.leave}
      </ReasonButton>
    </Block>
  );
}

function OneRow({ row }: { row: VisitRow }) {
  const { snapshot } = useJob();
  const { units } = snapshot.shop;
  const { key, before, now } = row;
  const { name, kind } = setupValue(key);
  const isTick = kind === 'check';
  return (
    <li data-key={key} data-done={now ? 'yes' : 'no'}>
      <div>
        <b>{name}</b>
        <Text variant="small" soft as="p">
          <WithFractions
            text={isTick || !before ? w.leftTick : w.left(readingText(before, units))}
          />
        </Text>
      </div>
      {now ? <Found row={row} /> : <Take row={row} />}
    </li>
  );
}

/** As it is now, with its drift. */
function Found({ row }: { row: VisitRow }) {
  const { snapshot, derived } = useJob();
  const { href } = useStage();
  const { units } = snapshot.shop;
  const { key, now, drift, within } = row;
  const place = whereTaken(key, derived.plan.steps);
  const isTick = setupValue(key).kind === 'check';
  const says =
    drift === null
      ? ''
      : Math.abs(drift) < 1e-6
        ? w.still
        : w.drift(writeValue(key, Math.abs(drift), units).replace(/^\+/, ''), drift > 0);
  return (
    <p className={css.found}>
      <Text variant="figure" as="b">
        <WithFractions text={isTick ? '✓' : readingText(now!, units)} />
      </Text>{' '}
      <WithFractions text={says} />{' '}
      {within !== null && <Tag kind={within ? 'in' : 'out'}>{within ? w.within : w.beyond}</Tag>}{' '}
      {place && (
        <Link href={href(place[0], place[1])} prefetch={false}>
          {w.anew}
        </Link>
      )}
    </p>
  );
}

/** Counted anew on what was put on: it cannot be as it was. */
const ofReplaced = (kind: VisitKind | undefined, key: SetupKey) =>
  (kind === 'string' && setupValue(key).spokenAs === 'twist') ||
  (kind === 'limb' && (key === 'limbTurnsUpper' || key === 'limbTurnsLower'));

/** A field for a number, one tap for what is still so, or the way to where it is taken. */
function Take({ row: { key, before } }: { row: VisitRow }) {
  const { snapshot, derived, send, sending } = useJob();
  const { href } = useStage();
  const { bow, job, shop } = snapshot;
  const kept = useKept(`${job.id}.visit.${key}`, () => '');
  const [trouble, setTrouble] = useState('');
  const options = readOptionsFor(key, shop.units, bow);
  const place = whereTaken(key, derived.plan.steps);
  const isAnew = ofReplaced(job.visit?.kind, key);
  const take = async () => {
    const refused = await send({
      name: 'takeReadings',
      readings: [{ key, entered: kept.value.trim() }],
    });
    setTrouble(refused?.message ?? '');
    if (!refused) kept.forget();
  };
  const still = async () =>
    setTrouble((await send({ name: 'confirmReadings', keys: [key] }))?.message ?? '');
  const result = options && kept.value.trim() !== '' ? read(kept.value, options) : null;
  return (
    <form
      className={css.take}
      onSubmit={(event) => {
        event.preventDefault();
        void take();
      }}
    >
      {before && !isAnew && (
        <Button variant="outlined" disabled={sending} onClick={() => void still()}>
          <span>
            <WithFractions
              text={options ? w.stillAt(readingText(before, shop.units)) : w.stillSo}
            />
          </span>
        </Button>
      )}
      {options ? (
        <>
          <TextField
            id={`visit-${key}`}
            label={w.now}
            autoComplete="off"
            value={kept.value}
            error={result !== null && !result.ok}
            helperText={
              result === null
                ? ''
                : result.ok
                  ? writeValue(key, result.si, shop.units)
                  : result.message
            }
            onChange={({ target }) => kept.set(() => target.value)}
          />
          <Button type="submit" variant="contained" disabled={!result?.ok || sending}>
            {w.take}
          </Button>
        </>
      ) : (
        place && (
          <Link href={href(place[0], place[1])} prefetch={false}>
            {w.anew}
          </Link>
        )
      )}
      <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
    </form>
  );
}
