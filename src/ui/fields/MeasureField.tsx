'use client';
import { useEffect, useId, useRef, useState, type ReactNode } from 'react';
import {
  G_PER_GRAIN,
  MM_PER_INCH,
  MPS_PER_FPS,
  N_PER_POUND,
  read,
  write,
  type ReadOptions,
  type ReadResult,
  type Understood,
} from '@/core/units';
import { Text } from '../pieces/Text';
import { Press } from '../pieces/Press';
import { useDraft } from '../keep/useDraft';
import type { Trouble } from '../keep/post';
import { fields } from '../words';
import { FieldError, Key } from '../pieces/texts';
import { WithFractions } from './Figure';
import { Pad } from './Pad';
import { padLayout, pressKey } from './pad-keys';
import { useTypedBefore } from './useTypedBefore';
import measureCss from './measure.module.css';

/** Typing that rests this long is taken to be finished, and a mistake is said. */
const REST_MS = 1100;

interface MeasureFieldProps {
  readonly label: string;
  readonly hint?: ReactNode;
  readonly options: ReadOptions;
  /** Takes what was typed; null when it was saved, else why not. */
  readonly onTake: (entered: string) => Promise<Trouble | null>;
  readonly takeWord?: string;
  /** The field `m` leads to; one on a screen. */
  readonly current?: boolean;
  readonly autoFocus?: boolean;
  readonly pad?: boolean;
  /** Told of every change, for a drawing that moves at once or buttons of one's own. */
  readonly onText?: (text: string, result: ReadResult) => void;
  /** Buttons instead of the one that takes the number. */
  readonly actions?: (take: (send: () => Promise<Trouble | null>) => void) => ReactNode;
  readonly placeholder?: string;
  /** What was read last, beside what is read now. */
  readonly last?: ReactNode;
  /** Added to what is read before it is the value, mm; shown where it is added. */
  readonly addsMm?: number;
  /** Under this name what is typed is kept until it is taken, also when another job comes between. */
  readonly draft: string;
}

/** A number entered as it is spoken, with how it was understood, and a pad for fingers. */
export function MeasureField(props: MeasureFieldProps) {
  const { label, hint, options, pad = true, current = true } = props;
  const id = useId();
  const entry = useEntry(props);
  const { text, result, wrong, setText } = entry;
  useTypedBefore(id, (field) => setText(field.value));
  const layout = padLayout(
    options.quantity,
    options.shop,
    (options.min ?? 0) < 0,
    options.bareUnit,
  );
  return (
    <form
      className={measureCss.measure}
      data-part="measure"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        entry.submit();
      }}
    >
      <div className={measureCss.fieldLabel}>
        <label htmlFor={id}>{label}</label>
        <Text soft as="span" aria-live="polite" data-part="read">
          {result.ok ? (
            <Reading result={result} options={options} addsMm={props.addsMm ?? 0} />
          ) : (
            (hint ??
            (props.addsMm ? (
              <WithFractions text={fields.adds(added(props.addsMm, options))} />
            ) : null))
          )}
        </Text>
      </div>
      {props.last}
      <div className={measureCss.measureField} data-wrong={wrong ? 'yes' : 'no'}>
        <input
          id={id}
          ref={entry.input}
          value={text}
          // Where there is one measuring field it has the focus.
          autoFocus={props.autoFocus ?? current}
          autoComplete="off"
          spellCheck={false}
          maxLength={40}
          inputMode={pad ? 'none' : 'text'}
          placeholder={props.placeholder}
          data-measure={current ? '' : undefined}
          aria-invalid={wrong !== null}
          aria-describedby={`${id}-wrong`}
          onChange={(event) => setText(event.target.value)}
          onBlur={entry.rest}
        />
        {!props.actions && (
          <Press type="submit" className={measureCss.take} data-part="take" disabled={entry.busy}>
            {props.takeWord ?? fields.takeIt}
            <Key>⏎</Key>
          </Press>
        )}
      </div>
      {pad && <Pad layout={layout} text={text} onKey={(key) => setText(pressKey(text, key))} />}
      <FieldError id={`${id}-wrong`} role={wrong ? 'alert' : undefined}>
        {wrong}
      </FieldError>
      {props.actions?.(entry.takeBy)}
    </form>
  );
}

/** What is typed, kept apart from the number it means; nothing is lost when saving fails. */
function useEntry({ options, onTake, onText, draft }: MeasureFieldProps) {
  const [text, put] = useDraft(draft, (kept) => onText?.(kept, read(kept, options)));
  const [rested, setRested] = useState(false);
  const [refused, setRefused] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const result = read(text, options);
  const setText = (next: string) => {
    put(next);
    setRested(false);
    setRefused(null);
    onText?.(next, read(next, options));
  };
  useEffect(() => {
    if (text.trim() === '') return;
    const timer = setTimeout(() => setRested(true), REST_MS);
    return () => clearTimeout(timer);
  }, [text]);
  // Refused it stays, marked, so that the next key writes over it.
  const refuse = (message: string) => {
    setRefused(message);
    input.current?.focus();
    input.current?.select();
  };
  const takeBy = async (send: () => Promise<Trouble | null>) => {
    if (!result.ok) {
      refuse(result.message);
      return;
    }
    setBusy(true);
    const trouble = await send();
    setBusy(false);
    if (trouble) {
      refuse(trouble.message);
      return;
    }
    setText('');
  };
  const blank = text.trim() === '';
  return {
    text,
    setText,
    result,
    busy,
    input,
    rest: () => !blank && setRested(true),
    wrong: refused ?? (rested && !blank && !result.ok ? result.message : null),
    takeBy: (send: () => Promise<Trouble | null>) => void takeBy(send),
    submit: () => void takeBy(() => onTake(text.trim())),
  };
}

const added = (addsMm: number, { quantity, shop }: ReadOptions) => write(addsMm, quantity, shop);

/** How the number was understood: in the shop's unit, and in the other system beside it. */
function Reading({
  result,
  options,
  addsMm,
}: {
  result: Understood;
  options: ReadOptions;
  addsMm: number;
}) {
  const { quantity, shop, bareUnit } = options;
  const own = bareUnit === 'mm' ? `${result.si.toFixed(1)} mm` : write(result.si, quantity, shop);
  const other = otherSystem(result.si, options);
  if (addsMm > 0)
    return (
      <WithFractions
        text={`${own} + ${added(addsMm, options)} = ${write(result.si + addsMm, quantity, shop)}`}
      />
    );
  return (
    <>
      <b>
        <WithFractions text={own} />
      </b>
      {other && other !== own && ` · ${other}`}
    </>
  );
}

function otherSystem(si: number, { quantity, shop }: ReadOptions): string | null {
  if (quantity === 'length')
    return shop.length === 'mm' ? `${(si / MM_PER_INCH).toFixed(2)} in` : `${si.toFixed(0)} mm`;
  if (quantity === 'force')
    return shop.force === 'N' ? `${(si / N_PER_POUND).toFixed(1)} lb` : `${si.toFixed(0)} N`;
  if (quantity === 'mass')
    return shop.mass === 'g' ? `${(si / G_PER_GRAIN).toFixed(0)} gr` : `${si.toFixed(1)} g`;
  if (quantity === 'speed')
    return shop.speed === 'm/s' ? `${(si / MPS_PER_FPS).toFixed(0)} fps` : `${si.toFixed(1)} m/s`;
  return null;
}
