'use client';
import { useState } from 'react';
import Stack from '@mui/material/Stack';
import { archerCautions, readOptionsFor } from '@/core/job';
import { latest, readingText, setupValue } from '@/core/setup';
import { Text } from '../../pieces/Text';
import { Choice } from '../../fields/Choice';
import { MeasureField } from '../../fields/MeasureField';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { Dock } from '../../job/Dock';
import { LastValue } from '../../job/LastValue';
import { lane, steady as w } from '../../words';
import { Work } from '../../job/Work';
import { Block, Head } from '../../pieces/layout';
import { FieldError } from '../../pieces/texts';
import { NoBow } from '../bench/BenchStage';

/** Mass and tip noted as they are; choosing bars is a later stage of this house. */
export function SteadyStage() {
  const { snapshot, derived, send } = useJob();
  const [trouble, setTrouble] = useState('');
  if (!snapshot.bow) return <NoBow text={lane.noBow} />;
  const units = snapshot.shop.units;
  const mass = latest(derived.history, 'bowMass');
  const tip = latest(derived.history, 'steadyTip');
  const note = async (choice: string) => {
    const reading = { key: 'steadyTip', entered: '', choice };
    const answer = await send({ name: 'takeReadings', readings: [reading] });
    setTrouble(answer?.message ?? '');
  };
  return (
    <>
      <Work>
        <Head>
          <h2>{w.title}</h2>
          <Text variant="aside">{w.lead}</Text>
        </Head>
        <Block as="div">
          <Stack spacing={2} component="section">
            <Choice
              label={w.tip}
              value={tip?.choice ?? null}
              options={setupValue('steadyTip').choices!}
              hint={w.tipHow}
              onChange={(choice) => void note(choice)}
            />
            <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
            {mass && (
              <p>
                <Text soft as="span">
                  {w.mass}
                </Text>{' '}
                <Text variant="big" as="b">
                  {readingText(mass, units)}
                </Text>
              </p>
            )}
          </Stack>
          <Dock>
            <MeasureField
              last={<LastValue of="bowMass" />}
              label={w.mass}
              draft={`${snapshot.job.id}.bowMass`}
              hint={setupValue('bowMass').tool}
              options={readOptionsFor('bowMass', units, snapshot.bow)!}
              onTake={(entered) =>
                send({ name: 'takeReadings', readings: [{ key: 'bowMass', entered }] })
              }
            />
          </Dock>
        </Block>
      </Work>
      <Margin
        because={[w.because.tip, w.because.parts]}
        watch={[
          { id: 'sling', text: w.watch.sling },
          { id: 'noise', text: w.watch.noise },
          ...archerCautions(snapshot).filter(({ id }) => id === 'injury' || id === 'minor'),
        ]}
      />
    </>
  );
}
