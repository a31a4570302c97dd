'use client';
import { useRef, useState, type ReactNode } from 'react';
import type { ReadOptions, ReadResult } from '@/core/units';
import { Pad } from './Pad';
import { padLayout, pressKey } from './pad-keys';
import { SmallNumber } from './SmallNumber';
import measureCss from './measure.module.css';

interface NumberOfSet {
  readonly label: string;
  readonly text: string;
  readonly onText: (text: string) => void;
  readonly result: ReadResult;
  readonly options: ReadOptions;
  readonly placeholder?: string;
}

/** Numbers that belong together, a tear's two for instance: small fields with one pad between them. */
export function NumberSet({
  numbers,
  first = 0,
  onSubmit,
  children,
}: {
  numbers: readonly NumberOfSet[];
  /** Place of the field digits go to from anywhere on the screen. */
  first?: number;
  onSubmit: () => void;
  /** Under the pad: the button that takes them, what is wrong. */
  children: ReactNode;
}) {
  const [at, setAt] = useState(first);
  const fields = useRef<HTMLDivElement>(null);
  const focusOn = (i: number) => fields.current?.querySelectorAll('input')[i]?.focus();
  const now = numbers[at]!;
  const { quantity, shop, min = 0, bareUnit } = now.options;
  return (
    <form
      className={measureCss.numberSet}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        // Enter in a row of empty fields leads on to the next; taken is what is whole.
        const empty = numbers.findIndex(({ text }, i) => i !== at && text.trim() === '');
        if (now.text.trim() !== '' && empty >= 0) return focusOn(empty);
        onSubmit();
        focusOn(first);
      }}
    >
      <div className={measureCss.numberFields} ref={fields}>
        {numbers.map((number, i) => (
          <SmallNumber
            key={number.label}
            label={number.label}
            text={number.text}
            onText={number.onText}
            result={number.result}
            placeholder={number.placeholder}
            current={i === first}
            hasPad
            isAt={i === at}
            onFocus={() => setAt(i)}
          />
        ))}
      </div>
      <Pad
        layout={padLayout(quantity, shop, min < 0, bareUnit)}
        text={now.text}
        onKey={(key) => now.onText(pressKey(now.text, key))}
      />
      <div className={measureCss.numberSetEnd}>{children}</div>
    </form>
  );
}
