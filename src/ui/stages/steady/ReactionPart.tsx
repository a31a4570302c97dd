'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import { REACTIONS, reactionId, type ReactionSeen } from '@/core/balance';
import type { BowRecord } from '@/core/bow';
import { archerCautions } from '@/core/job';
import { QUIVER_STATES } from '@/core/setup';
import type { QuiverState } from '@/core/steady';
import { NeutralRuler } from '../../drawings/NeutralRuler';
import { ReactionPad } from '../../drawings/ReactionPad';
import { Choice } from '../../fields/Choice';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { useStage } from '../../job/useStage';
import { Work } from '../../job/Work';
import { useKept } from '../../keep/useKept';
import { Actions, Block, Rows, Split, StepSay, Verdict } from '../../pieces/layout';
import { Text } from '../../pieces/Text';
import { FieldError, Note } from '../../pieces/texts';
import { steady as w } from '../../words';
import { torque } from './say';
import { SteadyParts } from './SteadyParts';
import { useBalance } from './useBalance';
import css from './ReactionPart.module.css';

interface Seen {
  readonly seen: ReactionSeen | null;
  /** Chosen while these bars were mounted; other ones are asked for anew. */
  readonly bars: { readonly choice: 'none' | 'asNoted'; readonly of: string } | null;
  readonly quiver: QuiverState;
}

/** What the bow does after a shot, and the torques at which it would stay. */
export function ReactionPart({ bow }: { bow: BowRecord }) {
  const { snapshot, send, sending } = useJob();
  const { href } = useStage();
  const balance = useBalance(bow);
  const { neutral, mounted, hasQuiver } = balance;
  const { value, set, settled } = useKept<Seen>(`${snapshot.job.id}.reaction`, () => ({
    seen: null,
    bars: null,
    quiver: balance.quiver,
  }));
  const [trouble, setTrouble] = useState('');
  const { seen } = value;
  const ofNow = JSON.stringify(mounted);
  const bars = !mounted ? 'none' : value.bars?.of === ofNow ? value.bars.choice : 'asNoted';
  const name = seen && REACTIONS.find(({ id }) => id === reactionId(seen))!.name;
  const note = async () => {
    if (!seen) return;
    const answer = await send({
      name: 'takeReaction',
      ...seen,
      bars: bars === 'asNoted',
      quiver: hasQuiver ? value.quiver : 'off',
    });
    setTrouble(answer?.message ?? '');
    if (answer) return;
    set((now) => ({ ...now, seen: null, bars: null }));
    settled();
  };
  return (
    <>
      <Work>
        <SteadyParts current="reaction" bow={bow} />
        <StepSay>{w.reactionSay}</StepSay>
        <Split>
          <div className={css.entry}>
            <ReactionPad
              value={seen}
              onPick={(picked) => set((now) => ({ ...now, seen: picked }))}
            />
            <Actions>
              <Button
                variant="contained"
                data-part="note-reaction"
                disabled={!seen || sending}
                onClick={() => void note()}
              >
                {name ? w.note(name) : w.pick}
              </Button>
            </Actions>
            <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
          </div>
          <div className={css.with}>
            {mounted && (
              <Choice
                label={w.reactionWith}
                value={bars}
                options={[
                  { id: 'none', name: w.bars.none },
                  { id: 'asNoted', name: w.bars.asNoted },
                ]}
                onChange={(choice) => set((now) => ({ ...now, bars: { choice, of: ofNow } }))}
              />
            )}
            {hasQuiver && (
              <Choice
                label={w.quiver}
                value={value.quiver}
                options={QUIVER_STATES}
                onChange={(quiver) => set((now) => ({ ...now, quiver }))}
              />
            )}
            <Neutral bow={bow} />
          </div>
        </Split>
        <Block>
          <h3>{w.triesTitle}</h3>
          {neutral.tries.length === 0 ? (
            <Text soft>{w.noTries}</Text>
          ) : (
            <Rows className={css.tries}>
              {[...neutral.tries].reverse().map((one, i) => (
                <li key={one.seq}>
                  <Text variant="figure">{neutral.tries.length - i}</Text>
                  <span>{REACTIONS.find(({ id }) => id === one.choice)?.name}</span>
                  <Text soft as="span">
                    {w.tryRow(one.bars)}
                  </Text>
                  <Text variant="figure" soft>
                    {w.torque(torque(one.rollTorqueNmm), torque(one.pitchTorqueNmm))}
                  </Text>
                </li>
              ))}
            </Rows>
          )}
          {neutral.tries.length > 0 && (
            <Actions>
              <Button
                variant="outlined"
                component={Link}
                href={href('steady', { part: 'bars' })}
                scroll={false}
              >
                {w.barsTitle}
              </Button>
            </Actions>
          )}
        </Block>
      </Work>
      <Margin
        because={[w.because.neutral, w.because.sum]}
        watch={[
          { id: 'target', text: w.watch.target, stop: true },
          { id: 'sling', text: w.watch.sling },
          ...archerCautions(snapshot).filter(({ id }) => id === 'injury' || id === 'minor'),
        ]}
      />
    </>
  );
}

/** Where it would stay, with how sure, and what would make it surer. */
function Neutral({ bow }: { bow: BowRecord }) {
  const { neutral } = useBalance(bow);
  return (
    <div data-part="neutral">
      <h3 className={css.neutralTitle}>{w.neutral}</h3>
      <NeutralRuler
        name={w.tip}
        ends={['left', 'right']}
        mean={neutral.neutralRollNmm}
        sigma={neutral.sigmaRollNmm}
        tries={neutral.tries.map(({ rollTorqueNmm }) => rollTorqueNmm)}
      />
      <NeutralRuler
        name={w.roll}
        ends={['back', 'forward']}
        mean={neutral.neutralPitchNmm}
        sigma={neutral.sigmaPitchNmm}
        tries={neutral.tries.map(({ pitchTorqueNmm }) => pitchTorqueNmm)}
      />
      {neutral.tries.length > 0 &&
        (!neutral.agree ? (
          <Note role="status">{w.disagree}</Note>
        ) : neutral.settled ? (
          <Verdict>
            <b>{w.neutralSettled}</b>
          </Verdict>
        ) : (
          <Note role="status">
            {w.neutralMissing(neutral.triesMissing)} {w.weightHow}
          </Note>
        ))}
    </div>
  );
}
