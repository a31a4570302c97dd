'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { ONE_CAM, drawLengthSteps, moduleLabel, type BowRecord } from '@/core/bow';
import { latest, type SetupKey } from '@/core/setup';
import { figureText, write, writeParts } from '@/core/units';
import { Text } from '../../pieces/Text';
import { Press } from '../../pieces/Press';
import { WithFractions } from '../../fields/Figure';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { bow as w } from '../../words';
import { Work } from '../../job/Work';
import { FieldError, Note } from '../../pieces/texts';
import { Block, BlockTitle, Verdict } from '../../pieces/layout';
import { BowParts } from './BowParts';
import { GoalPanel } from './GoalPanel';
import goalCss from './goal.module.css';
import css from './SetModule.module.css';

const KEYS = { top: 'moduleTop', bottom: 'moduleBottom' } as const;
/** Positions shown to either side of the one wanted. */
const NEAR = 2;

/** The draw-length module on every cam that has one, by its printed position. */
export function SetModule({ bow }: { bow: BowRecord }) {
  const { snapshot, derived } = useJob();
  const [all, setAll] = useState(false);
  const [overruling, setOverruling] = useState(false);
  const units = snapshot.shop.units;
  const wanted = derived.context.moduleStepMm;
  const steps = drawLengthSteps(bow);
  const stands = bow.moduleCams.map((cam) => latest(derived.history, KEYS[cam])?.si ?? null);
  const uneven =
    stands.length === 2 &&
    stands.every((s) => s !== null) &&
    Math.abs(stands[0]! - stands[1]!) > 0.5;
  const middle = wanted === null ? 0 : steps.findIndex((step) => Math.abs(step - wanted) < 0.5);
  const shown =
    all || wanted === null ? steps : steps.slice(Math.max(0, middle - NEAR), middle + NEAR + 1);
  const { moduleReason, moduleStepMm } = snapshot.job;
  return (
    <>
      <Work>
        <BowParts current="module" />
        {bow.modules.length === 0 ? (
          <Note>{w.fixed}</Note>
        ) : (
          <>
            <div className={goalCss.goalLine} data-part="goal-line">
              <Text soft as="span">
                {w.goal}
              </Text>
              <Text variant="big">
                {wanted === null ? (
                  '—'
                ) : (
                  <WithFractions
                    text={w.settingOf(write(wanted, 'length', units), moduleLabel(bow, wanted))}
                  />
                )}
              </Text>
              <Button variant="outlined" onClick={() => setOverruling(true)}>
                {w.otherStep}
              </Button>
            </div>
            <Verdict>{w.setEach(bow.moduleCams.length)}</Verdict>
            {uneven && (
              <Note kind="stop" role="alert">
                {w.uneven}
              </Note>
            )}
            {bow.moduleCams.map((cam) => (
              <CamPositions key={cam} bow={bow} cam={cam} steps={shown} wanted={wanted} />
            ))}
            {steps.length > shown.length || all ? (
              <Button variant="text" onClick={() => setAll(!all)}>
                {all ? w.fewPositions : w.allPositions}
              </Button>
            ) : null}
          </>
        )}
        {overruling && <GoalPanel goal="moduleStep" onClose={() => setOverruling(false)} />}
      </Work>
      <Margin
        because={[
          moduleStepMm !== null
            ? w.because.technician(moduleReason)
            : wanted !== null && (
                <WithFractions text={w.because.nearest(write(wanted, 'length', units))} />
              ),
        ].filter(Boolean)}
        watch={[
          ...(bow.moduleCams.length > 1 ? [{ id: 'oneCam', text: ONE_CAM }] : []),
          { id: 'manual', text: w.watch.manual },
        ]}
      />
    </>
  );
}

function CamPositions({
  bow,
  cam,
  steps,
  wanted,
}: {
  bow: BowRecord;
  cam: 'top' | 'bottom';
  steps: readonly number[];
  wanted: number | null;
}) {
  const { snapshot, derived, send } = useJob();
  const [trouble, setTrouble] = useState('');
  const key: SetupKey = KEYS[cam];
  const stands = latest(derived.history, key)?.si ?? null;
  const units = snapshot.shop.units;
  const take = async (step: number) => {
    const entered = write(step, 'length', units);
    const answer = await send({ name: 'takeReadings', readings: [{ key, entered }] });
    setTrouble(answer?.message ?? '');
  };
  return (
    <Block>
      <BlockTitle>
        {w.cam[cam]} {w.standsAt}{' '}
        <Text as="b">
          {stands === null ? '—' : <WithFractions text={write(stands, 'length', units)} />}
        </Text>
      </BlockTitle>
      <div className={css.positions} role="group" aria-label={w.cam[cam]}>
        {steps.map((step) => (
          <Press
            key={step}
            type="button"
            aria-pressed={stands !== null && Math.abs(stands - step) < 0.5}
            data-wanted={wanted !== null && Math.abs(wanted - step) < 0.5 ? 'yes' : 'no'}
            onClick={() => void take(step)}
          >
            <span className={css.positionLabel}>{moduleLabel(bow, step, cam)}</span>
            <Text variant="figure">
              <WithFractions text={figureText(writeParts(step, 'length', units))} />
            </Text>
          </Press>
        ))}
      </div>
      {trouble && <FieldError>{trouble}</FieldError>}
    </Block>
  );
}
