'use client';
import { Press } from '../pieces/Press';
import { usePadHand } from '../keep/on-tablet';
import { doorWords as w } from '../words';
import css from './door.module.css';

const ROWS = ['789', '456', '123', '·0⌫'];

/** Digits for fingers; the field beside it keeps the caret. */
export function PinPad({
  onDigit,
  onBack,
}: {
  onDigit: (digit: string) => void;
  onBack: () => void;
}) {
  const [hand] = usePadHand();
  return (
    <div className={css.pad} role="group" aria-label={w.pad} data-hand={hand}>
      {[...ROWS.join('')].map((face) =>
        face === '·' ? (
          <span key={face} />
        ) : (
          <Press
            key={face}
            type="button"
            data-key={face}
            aria-label={face === '⌫' ? w.rubOut : face}
            tabIndex={-1}
            onPointerDown={(event) => event.preventDefault()}
            onClick={() => (face === '⌫' ? onBack() : onDigit(face))}
          >
            {face}
          </Press>
        ),
      )}
    </div>
  );
}
