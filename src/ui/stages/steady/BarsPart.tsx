'use client';
import { useMemo, useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import { NO_BARS, type Bars } from '@/core/balance';
import type { BowRecord } from '@/core/bow';
import { archerCautions, barQuestion, jobBarStock } from '@/core/job';
import { QUIVER_STATES } from '@/core/setup';
import { barsOfKit, isQuiet, QUIET_NMM, stepsBetween, type QuiverState } from '@/core/steady';
import type { CatalogueItem } from '@/core/kit';
import { BalanceDrawing } from '../../drawings/BalanceDrawing';
import { Choice } from '../../fields/Choice';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { useStage } from '../../job/useStage';
import { Work } from '../../job/Work';
import { Actions, Block } from '../../pieces/layout';
import { Text } from '../../pieces/Text';
import { FieldError, Note } from '../../pieces/texts';
import { rollWords, steady as w, tipWords } from '../../words';
import { BarLimits } from './BarLimits';
import { BarMoves } from './BarMoves';
import { BarOfferList } from './BarOfferList';
import { DiscButtons } from './DiscButtons';
import { Levers } from './Levers';
import { MoreMass } from './MoreMass';
import { grams, mmOf, torque } from './say';
import { SteadyParts } from './SteadyParts';
import { useBalance } from './useBalance';
import { useMounting } from './useMounting';
import { useTrial } from './useTrial';
import css from './BarsPart.module.css';

/** The bow with its bars: looked at from the side and from behind, swung, chosen from stock, mounted. */
export function BarsPart({ bow, items }: { bow: BowRecord; items: readonly CatalogueItem[] }) {
  const { snapshot, derived } = useJob();
  const balance = useBalance(bow);
  const stock = useMemo(() => jobBarStock(snapshot, derived, items), [snapshot, derived, items]);
  const question = useMemo(
    () => barQuestion(snapshot, derived, bow, stock),
    [snapshot, derived, bow, stock],
  );
  const { mounted } = balance;
  const usual = useMemo(() => barsOfKit(stock, derived.kit, bow), [stock, derived.kit, bow]);
  const trial = useTrial(mounted, usual, stock, bow);
  const [quiver, setQuiver] = useState<QuiverState>(balance.quiver);
  const [sight, setSight] = useState<'in' | 'out'>('in');
  const state = { bars: trial.bars, quiver, sightOut: sight === 'out' };
  const seen = balance.at(state);
  const { mount, mounting, trouble } = useMounting(bow, items, trial);
  const steps = stepsBetween(mounted ?? NO_BARS, trial.bars);
  const hasSight = derived.kit.sight !== undefined;
  return (
    <>
      <Work>
        <SteadyParts current="bars" bow={bow} />
        <div className={css.bench}>
          <BalanceDrawing
            shape={bow}
            hand={bow.hand}
            bars={trial.bars}
            parts={seen.parts}
            centre={seen.props.centre}
            onTurn={trial.turn}
          />
          <Figures props={seen.props} bow={bow} tried={trial.isTried || mounted === null} />
        </div>
        <div className={css.chips}>
          {balance.hasQuiver && (
            <Choice label={w.quiver} value={quiver} options={QUIVER_STATES} onChange={setQuiver} />
          )}
          {hasSight && (
            <Choice label={w.sight} value={sight} options={w.sightOut} onChange={setSight} />
          )}
          <DiscButtons bars={trial.bars} turn={trial.turn} stock={stock} />
        </div>
        <Text variant="small" soft as="p">
          {trial.bars.front?.mount || trial.bars.rear?.mount ? w.hint : w.hintStraight}
        </Text>
        <Moved bow={bow} bars={trial.bars} />
        {(trial.isTried || mounted === null) && (
          <Block as="div" data-part="to-mount">
            {steps.length > 0 && (
              <>
                <h3>{w.todo}</h3>
                <ol className={css.steps}>
                  {steps.map((step) => (
                    <li key={step}>{step}</li>
                  ))}
                </ol>
                {steps.some((step) => step.includes('teeth')) && <Note>{w.teeth}</Note>}
              </>
            )}
            <Actions>
              <Button
                variant="contained"
                data-part="mount"
                disabled={mounting}
                onClick={() => void mount()}
              >
                {w.mount}
              </Button>
              {trial.isTried && (
                <Button variant="text" onClick={trial.putBack}>
                  {w.back}
                </Button>
              )}
            </Actions>
            <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
          </Block>
        )}
        <BarOfferList question={question} trial={trial} />
        <BarMoves bow={bow} stock={stock} trial={trial} quiver={quiver} />
        <MoreMass question={question} trial={trial} />
        <Levers props={seen.props} bare={balance.bare} parts={seen.parts} />
        <BarLimits />
      </Work>
      <Margin
        because={[w.because.choice, w.because.far, w.because.ratio]}
        watch={[
          { id: 'noise', text: w.watch.noise },
          { id: 'carry', text: w.watch.carry },
          ...archerCautions(snapshot).filter(({ id }) => id === 'injury' || id === 'minor'),
        ]}
      />
    </>
  );
}

/** The large thing: whether it would stay; then what it weighs and how hard it is to turn. */
function Figures({
  props,
  bow,
  tried,
}: {
  props: ReturnType<ReturnType<typeof useBalance>['at']>['props'];
  bow: BowRecord;
  tried: boolean;
}) {
  const { bare, neutral, at, quiver } = useBalance(bow);
  const { href } = useStage();
  const plain = at({ bars: NO_BARS, quiver, sightOut: false }).props;
  const tip = props.rollTorqueNmm - neutral.neutralRollNmm;
  const roll = props.pitchTorqueNmm - neutral.neutralPitchNmm;
  const inertia = (of: { yawInertiaKgMm2: number; pitchInertiaKgMm2: number }) =>
    of.yawInertiaKgMm2 + of.pitchInertiaKgMm2;
  const isShot = neutral.tries.length > 0;
  const quiet = isQuiet(props, neutral);
  const does = quiet
    ? w.quiet
    : [tipWords(tip, QUIET_NMM), rollWords(roll, QUIET_NMM)]
        .filter((word) => word !== 'stays')
        .join(', ');
  // What is not learned well enough is said to be likely, never to be so.
  const said = !isShot ? w.notShot : neutral.settled ? does : w.likely(does);
  return (
    <div className={css.figures} data-part="balance-figures">
      <Text variant="small" soft>
        {tried ? w.isTried : w.isMounted}
      </Text>
      <p
        className={css.verdict}
        data-part="balance-verdict"
        data-quiet={!isShot ? undefined : quiet ? 'yes' : 'no'}
        role="status"
      >
        {said}
      </p>
      {!isShot && (
        <Text variant="small" soft>
          {w.shootFirst}{' '}
          <Link href={href('steady', { part: 'reaction' })} scroll={false}>
            {w.toReaction}
          </Link>
        </Text>
      )}
      <dl>
        <dt>{w.tip}</dt>
        <dd data-figure="roll">{torque(tip)}</dd>
        <dt>{w.roll}</dt>
        <dd data-figure="pitch">{torque(roll)}</dd>
        <dt>{w.total}</dt>
        <dd data-figure="mass">{grams(props.massG)}</dd>
        <dt>{w.steadiness}</dt>
        <dd data-figure="steadiness">{w.times(inertia(props) / inertia(plain))}</dd>
      </dl>
      <Text variant="small" soft>
        {w.steadinessHow}
      </Text>
      {bare.centreFrom === 'estimated' && (
        <Text variant="small" soft>
          {w.centre}: {w.from.estimated}
        </Text>
      )}
    </div>
  );
}

/** How far the balance moves between the states of quiver and sight. */
function Moved({ bow, bars }: { bow: BowRecord; bars: Bars }) {
  const { derived } = useJob();
  const { at, hasQuiver } = useBalance(bow);
  const of = (quiver: QuiverState, sightOut = false) => at({ bars, quiver, sightOut }).props;
  const line = (what: string, from: ReturnType<typeof of>, to: ReturnType<typeof of>) => {
    const by = (axis: 'forwardMm' | 'upMm' | 'rightMm') => to.centre[axis] - from.centre[axis];
    return w.moved(
      what,
      mmOf(Math.hypot(by('forwardMm'), by('upMm'), by('rightMm'))),
      torque(to.rollTorqueNmm - from.rollTorqueNmm),
      torque(to.pitchTorqueNmm - from.pitchTorqueNmm),
    );
  };
  const full = of('full');
  const slides = derived.kit.sight?.item?.slot === 'sight' && derived.kit.sight.item.attrs.slides;
  return (
    <ul className={css.moved} data-part="moved">
      {hasQuiver && <li>{line(w.quiverFull, of('off'), full)}</li>}
      {hasQuiver && <li>{line(w.quiverEmpty, full, of('empty'))}</li>}
      {slides && <li>{line(w.sightDialled, full, of('full', true))}</li>}
    </ul>
  );
}
