'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import { modelBowLine, twinActions, twinCount, twinRows, unequalParts } from '@/core/twin';
import { plainDay } from '../../fields/dates';
import { WithFractions } from '../../fields/Figure';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { Work } from '../../job/Work';
import { Actions, Block, Rows, Verdict } from '../../pieces/layout';
import { FieldError, Note } from '../../pieces/texts';
import { Text } from '../../pieces/Text';
import { bow as bowWords, like as w } from '../../words';
import { BowParts } from './BowParts';
import { ModelChoice } from './ModelChoice';
import { TwinActions } from './TwinActions';
import { TwinTables } from './TwinTables';
import css from './LikeAnother.module.css';

/** A bow made like another: the model, what is done, both side by side, what cannot be made equal. */
export function LikeAnother() {
  const { snapshot } = useJob();
  const { like } = snapshot.job;
  return (
    <>
      <Work>
        <BowParts current="like" />
        {like === null ? <ModelChoice /> : <Made />}
      </Work>
      <Margin
        because={[w.because.order, w.because.same, w.because.marks]}
        watch={[
          { id: 'manual', text: bowWords.watch.manual },
          { id: 'draws', text: w.watch.draws },
        ]}
      />
    </>
  );
}

function Made() {
  const { snapshot, derived, send, sending } = useJob();
  const [trouble, setTrouble] = useState('');
  const { job, bow } = snapshot;
  const model = job.like!;
  const rows = twinRows(snapshot, derived);
  const { all } = twinCount(rows);
  const actions = twinActions(snapshot, derived);
  const unequal = unequalParts(snapshot, derived);
  const visits = derived.plan.visits.filter(({ station }) => station === 'press').length;
  const letGo = async () =>
    setTrouble((await send({ name: 'setModel', from: { kind: 'none' } }))?.message ?? '');
  return (
    <>
      <div className={css.model} data-part="model">
        <div>
          <Text variant="small" soft as="div">
            {w.model}
          </Text>
          <b>{modelBowLine(model)}</b>
          <Text soft as="div">
            {[model.title, model.day && plainDay(model.day, true)].filter(Boolean).join(', ')}
          </Text>
        </div>
        <Actions sx={{ mt: 0 }}>
          <Link href={`/jobs/${job.id}/like`} prefetch={false}>
            {w.page}
          </Link>
          <Button variant="text" disabled={sending} onClick={() => void letGo()}>
            {w.letGo}
          </Button>
        </Actions>
      </div>
      <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
      {!bow && <Note>{w.noBow}</Note>}
      {bow && (
        <>
          {all === 0 && <Verdict>{w.nothingTold}</Verdict>}
          <Text soft>{w.press(visits)}</Text>
          <TwinActions actions={actions} />
        </>
      )}
      {unequal.length > 0 && (
        <Block>
          <h3>{w.unequal}</h3>
          <Rows className={css.unequal} data-part="unequal">
            {unequal.map(({ id, name, here, model: there, does, closest }) => (
              <li key={id}>
                <div>
                  <b>{name}</b>
                  <Text soft as="div">
                    <WithFractions text={w.unequalSides(here, there)} />
                  </Text>
                </div>
                <div>
                  <WithFractions text={does} />
                  <Text soft as="div">
                    <WithFractions text={closest} />
                  </Text>
                </div>
              </li>
            ))}
          </Rows>
        </Block>
      )}
      <TwinTables rows={rows} />
    </>
  );
}
