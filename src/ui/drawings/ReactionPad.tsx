'use client';
import { REACTIONS, type ReactionSeen } from '@/core/balance';
import { Press } from '../pieces/Press';
import { steadyDrawing as w } from '../words';
import css from './ReactionPad.module.css';

const TIPS = [
  { tip: 'left', tipHow: 'clear' },
  { tip: 'left', tipHow: 'slight' },
  { tip: 'stays', tipHow: 'slight' },
  { tip: 'right', tipHow: 'slight' },
  { tip: 'right', tipHow: 'clear' },
] as const;
const PITCHES = [
  { pitch: 'forward', pitchHow: 'clear' },
  { pitch: 'forward', pitchHow: 'slight' },
  { pitch: 'stays', pitchHow: 'slight' },
  { pitch: 'back', pitchHow: 'slight' },
  { pitch: 'back', pitchHow: 'clear' },
] as const;

const LEAN = { slight: 13, clear: 32 } as const;
const ROLL = { slight: 4, clear: 8 } as const;
const SIGN = { left: -1, right: 1, stays: 0 } as const;

/** The bow from behind as it fell: leaned to a side; rolled forward its top is drawn larger, back smaller. */
function Fallen({ tip, tipHow, pitch, pitchHow }: ReactionSeen) {
  const roll = pitch === 'stays' ? 0 : ROLL[pitchHow] * (pitch === 'forward' ? 1 : -1);
  const lean = SIGN[tip] * LEAN[tipHow];
  return (
    <svg viewBox="-20 -20 40 40" aria-hidden="true" focusable="false">
      <g transform={`rotate(${lean})`}>
        <path
          d={`M0 ${-17 + Math.abs(roll) * 0.4}V${17 - Math.abs(roll) * 0.4}`}
          stroke="currentColor"
          strokeWidth={2.4}
        />
        <path d="M-3 -2h6v9h-6z" fill="currentColor" />
        {roll !== 0 && (
          <path
            d={roll > 0 ? `M-4 -12L0 ${-12 - roll}L4 -12` : `M-4 12L0 ${12 - roll}L4 12`}
            fill="none"
            stroke="currentColor"
            strokeWidth={2.4}
          />
        )}
      </g>
    </svg>
  );
}

/** What the bow did, tapped: left and right across, forward and back up and down, further out is clearer. */
export function ReactionPad({
  value,
  onPick,
}: {
  value: ReactionSeen | null;
  onPick: (seen: ReactionSeen) => void;
}) {
  const isNow = (seen: ReactionSeen) =>
    value !== null &&
    value.tip === seen.tip &&
    value.pitch === seen.pitch &&
    (seen.tip === 'stays' || value.tipHow === seen.tipHow) &&
    (seen.pitch === 'stays' || value.pitchHow === seen.pitchHow);
  return (
    <div className={css.pad} role="group" aria-label={w.reaction} data-part="reaction-pad">
      <span className={css.top}>{w.forward}</span>
      <span className={css.left}>{w.left}</span>
      <div className={css.cells}>
        {PITCHES.flatMap((pitch) =>
          TIPS.map((tip) => {
            const seen: ReactionSeen = { ...tip, ...pitch };
            const { id, name } = REACTIONS.find(
              (reaction) =>
                reaction.tip === seen.tip &&
                reaction.pitch === seen.pitch &&
                (seen.tip === 'stays' || reaction.tipHow === seen.tipHow) &&
                (seen.pitch === 'stays' || reaction.pitchHow === seen.pitchHow),
            )!;
            return (
              <Press
                key={id}
                className={css.cell}
                aria-label={name}
                aria-pressed={isNow(seen)}
                data-reaction={id}
                onClick={() => onPick(seen)}
              >
                <Fallen {...seen} />
              </Press>
            );
          }),
        )}
      </div>
      <span className={css.right}>{w.right}</span>
      <span className={css.bottom}>{w.back}</span>
    </div>
  );
}
