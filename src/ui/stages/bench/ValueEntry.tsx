'use client';
import { useState, type ReactNode } from 'react';
import Button from '@mui/material/Button';
import { addedTo, readOptionsFor } from '@/core/job';
import { ripplePreview } from '@/core/ripple';
import { setupValue, targetText, mendText, readingText, type SetupKey } from '@/core/setup';
import type { ValueState } from '@/core/route';
import { Text } from '../../pieces/Text';
import { Press } from '../../pieces/Press';
import { WithFractions } from '../../fields/Figure';
import { useTypedBefore } from '../../fields/useTypedBefore';
import { whenText } from '../../fields/dates';
import { MeasureField } from '../../fields/MeasureField';
import { HowDrawing } from '../../drawings/HowDrawing';
import { useDraft } from '../../keep/useDraft';
import { Dock } from '../../job/Dock';
import type { Trouble as Refusal } from '../../keep/post';
import { useJob } from '../../job/JobProvider';
import { LastValue } from '../../job/LastValue';
import { bench as w, fields } from '../../words';
import { FieldError, Key, Tag } from '../../pieces/texts';
import { LevelCost } from '../lane/LevelCost';
import measureCss from '../../fields/measure.module.css';
import css from './ValueEntry.module.css';

/** Values named before the rest is only counted. */
const AHEAD_NAMED = 5;

/** A tick, a choice, or a number with its wanted band and what was measured before. */
export function ValueEntry({
  value,
  onTyping,
  onTaken,
  children,
}: {
  value: ValueState;
  /** What is being typed stays, whatever another screen enters meanwhile. */
  onTyping: () => void;
  onTaken: () => void;
  children?: ReactNode;
}) {
  const { snapshot, send } = useJob();
  const { key, target, reading } = value;
  const { kind, name, how } = setupValue(key);
  const units = snapshot.shop.units;
  const [trouble, setTrouble] = useState('');
  const take = async (entered: string) => {
    const answer = await send({ name: 'takeReadings', readings: [{ key, entered }] });
    if (!answer) onTaken();
    return answer;
  };
  const isCheck = kind === 'check';
  const choices = setupValue(key).choices ?? null;
  const choose = async (choice: string) => {
    const answer = await send({
      name: 'takeReadings',
      readings: [{ key, entered: '', choice }],
    });
    setTrouble(answer?.message ?? '');
    if (!answer) onTaken();
  };
  return (
    <div className={css.valueEntry}>
      <div className={css.howTop}>
        <HowDrawing of={key} left={snapshot.archer.hand === 'left'} />
        <p className={css.how}>{how}.</p>
      </div>
      {target && !isCheck && kind !== 'choice' && kind !== 'text' && (
        <p className={css.wanted}>
          <Text soft as="span">
            {w.wanted}
          </Text>{' '}
          <Text variant="figure" as="b">
            <WithFractions text={targetText(key, target, units)} />
          </Text>
        </p>
      )}
      {reading && <Before value={value} />}
      <LevelCost of={key} />
      {reading && !value.stale && <Ahead of={key} />}
      {children}
      <Dock>
        {reading && (kind === 'choice' || kind === 'text' || isCheck) && <LastValue of={key} />}
        {kind === 'choice' ? (
          <div
            className={css.choiceAnswers}
            data-part="choice-answers"
            role="group"
            aria-label={name}
          >
            {choices!.map((choice, i) => (
              <Button
                key={choice.id}
                variant={reading?.choice === choice.id && !value.stale ? 'contained' : 'outlined'}
                data-measure={i === 0 ? '' : undefined}
                onClick={() => void choose(choice.id)}
              >
                {choice.name}
              </Button>
            ))}
            <Trouble text={trouble} />
          </div>
        ) : kind === 'text' ? (
          <WordsEntry key={key} label={name} draft={`${snapshot.job.id}.${key}`} onTake={take} />
        ) : isCheck ? (
          <div>
            <Button
              variant={reading && !value.stale ? 'outlined' : 'contained'}
              className={css.tick}
              data-part="tick"
              data-measure=""
              onClick={() => void take('').then((answer) => setTrouble(answer?.message ?? ''))}
            >
              <span>✓ {reading ? w.tickAgain : w.tick(name)}</span>
            </Button>
            <Trouble text={trouble} />
          </div>
        ) : (
          <MeasureField
            label={name}
            draft={`${snapshot.job.id}.${key}`}
            options={readOptionsFor(key, units, snapshot.bow)!}
            addsMm={addedTo(key)}
            onText={(text) => text !== '' && onTyping()}
            onTake={take}
            last={<LastValue of={key} />}
          />
        )}
      </Dock>
    </div>
  );
}

const Trouble = ({ text }: { text: string }) =>
  text && <FieldError role="alert">{text}</FieldError>;

/** A few words as they stand there, a serial number: typed, kept while it is, and taken. */
function WordsEntry({
  label,
  draft,
  onTake,
}: {
  label: string;
  draft: string;
  onTake: (entered: string) => Promise<Refusal | null>;
}) {
  const [text, put] = useDraft(draft);
  const [trouble, setTrouble] = useState('');
  const setText = (next: string) => {
    put(next);
    setTrouble('');
  };
  useTypedBefore('words-entry', (field) => setText(field.value));
  return (
    <form
      className={measureCss.measure}
      data-part="measure"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void onTake(text).then((answer) => {
          setTrouble(answer?.message ?? '');
          if (!answer) setText('');
        });
      }}
    >
      <label className={measureCss.fieldLabel} htmlFor="words-entry">
        {label}
      </label>
      <div className={measureCss.measureField} data-wrong={trouble ? 'yes' : 'no'}>
        <input
          id="words-entry"
          value={text}
          autoFocus
          autoComplete="off"
          spellCheck={false}
          maxLength={60}
          data-measure="words"
          onChange={(event) => setText(event.target.value)}
        />
        <Press type="submit" className={measureCss.take} data-part="take">
          {fields.takeIt}
          <Key>⏎</Key>
        </Press>
      </div>
      <FieldError role={trouble ? 'alert' : undefined}>{trouble}</FieldError>
    </form>
  );
}

/** What a change of this value would ask for again, told before it is done. */
function Ahead({ of }: { of: SetupKey }) {
  const { derived } = useJob();
  const { keys, minutes } = ripplePreview(of, derived.history, derived.plan);
  if (keys.length === 0) return null;
  const names = keys.slice(0, AHEAD_NAMED).map((key) => setupValue(key).short);
  return (
    <Text variant="small" soft as="p" data-part="ahead">
      {w.ahead(keys.length, minutes, names, keys.length > AHEAD_NAMED)}
    </Text>
  );
}

function Before({ value: { key, reading, target, standing, stale } }: { value: ValueState }) {
  const { snapshot } = useJob();
  const units = snapshot.shop.units;
  const isCheck = setupValue(key).kind === 'check';
  return (
    <div className={css.before}>
      <Text
        variant="huge"
        data-standing={standing}
        data-words={reading!.choice === null ? undefined : 'yes'}
      >
        <WithFractions text={isCheck ? '✓' : readingText(reading!, units)} />
      </Text>
      {stale ? (
        <Tag kind="again">{w.again}</Tag>
      ) : standing === 'out' ? (
        <Tag kind="out">
          <WithFractions text={fields.out(mendText(key, reading!, target!, units))} />
        </Tag>
      ) : standing === 'in' ? (
        <Tag kind="in">{fields.inTolerance}</Tag>
      ) : null}
      <Text variant="small" soft>
        {reading!.who}, {whenText(reading!.at, snapshot.shop.timeZone, snapshot.today)}
        {stale && <> · {stale.sentence}</>}
      </Text>
    </div>
  );
}
