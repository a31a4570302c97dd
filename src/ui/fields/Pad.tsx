'use client';
import { findUnit } from '@/core/units';
import { Press } from '../pieces/Press';
import { fields } from '../words';
import { usePadHand } from '../keep/on-tablet';
import { mirrored, type PadKey, type PadLayout } from './pad-keys';
import { WithFractions } from './Figure';
import measureCss from './measure.module.css';

function face(key: PadKey): string {
  switch (key.do) {
    case 'digit':
      return key.digit;
    case 'point':
      return '.';
    case 'back':
      return '⌫';
    case 'sign':
      return '±';
    case 'fraction':
      return `${key.numerator}/${key.denominator}`;
    case 'sixteenth':
      return '+1/16';
    case 'unit':
      return key.unit;
  }
}

const kindOf = (key: PadKey) =>
  key.do === 'unit'
    ? 'unit'
    : key.do === 'digit' || key.do === 'point' || key.do === 'back'
      ? 'digit'
      : 'part';

/** Keys for fingers; the field beside it keeps the caret. */
export function Pad({
  layout,
  text,
  onKey,
}: {
  layout: PadLayout;
  text: string;
  onKey: (key: PadKey) => void;
}) {
  const unit = findUnit(/[^\d\s.,/−-]+.*$/.exec(text)?.[0]?.trim() ?? '')?.name;
  const [hand] = usePadHand();
  const rows = hand === 'left' ? mirrored(layout) : layout;
  return (
    <div
      className={measureCss.pad}
      data-hand={hand}
      data-part="pad"
      role="group"
      aria-label={fields.pad}
      style={{ gridTemplateColumns: `repeat(${layout[0]!.length}, minmax(44px, 1fr))` }}
    >
      {rows
        .flat()
        .map((key, i) =>
          key === null ? (
            <span key={i} className={measureCss.padGap} />
          ) : (
            <PadButton
              key={i}
              pad={key}
              pressed={key.do === 'unit' ? key.unit === unit : undefined}
              onKey={onKey}
            />
          ),
        )}
    </div>
  );
}

function PadButton({
  pad,
  onKey,
  pressed,
}: {
  pad: PadKey;
  onKey: (key: PadKey) => void;
  pressed?: boolean;
}) {
  const text = face(pad);
  return (
    <Press
      type="button"
      data-kind={kindOf(pad)}
      data-key={text}
      aria-label={pad.do === 'back' ? fields.back : pad.do === 'sign' ? fields.sign : text}
      aria-pressed={pressed}
      tabIndex={-1}
      // The field keeps the focus, so that keyboard and finger can take turns.
      onPointerDown={(event) => event.preventDefault()}
      onClick={() => onKey(pad)}
    >
      <WithFractions text={text} />
    </Press>
  );
}
