'use client';
import { useState, type ReactNode } from 'react';
import { setupValue, readingText } from '@/core/setup';
import type { JobStep, ValueState } from '@/core/route';
import { Text } from '../../pieces/Text';
import { Press } from '../../pieces/Press';
import { WithFractions } from '../../fields/Figure';
import { useKeys } from '../../frame/useKeys';
import { useJob } from '../../job/JobProvider';
import { PhotoStrip } from '../../job/PhotoStrip';
import { ComesFirst, Signed, SignOff } from '../../job/SignOff';
import { bench as w } from '../../words';
import { Actions, ValueTabs } from '../../pieces/layout';
import { Tag } from '../../pieces/texts';
import { ValueEntry } from './ValueEntry';

/** The first value of a step that wants a hand: stale, missing or out. */
export const openValue = (step: JobStep): ValueState | null =>
  step.values.find((value) => value.stale) ??
  step.values.find((value) => !value.reading) ??
  step.values.find((value) => value.standing === 'out') ??
  null;

/** One step at work: its values one by one, in or out, and the way on. */
export function StepWork({
  step,
  asked,
  children,
  onward,
}: {
  step: JobStep;
  /** Key of the value wanted by the link that led here. */
  asked: string | null;
  children?: ReactNode;
  onward: ReactNode;
}) {
  const [picked, pick] = useState<string | null>(asked);
  // Where a step leads nowhere by itself, `.` still ticks it off.
  useKeys(
    onward === null
      ? { '.': () => document.querySelector<HTMLElement>('[data-part="tick"]')?.click() }
      : {},
  );
  const value =
    step.values.find((v) => v.key === picked) ?? openValue(step) ?? step.values.at(-1) ?? null;
  return (
    <>
      <ComesFirst step={step} />
      {step.values.length > 1 && (
        <ValueTabs>
          {step.values.map((v) => (
            <li key={v.key}>
              <Press type="button" aria-pressed={v.key === value?.key} onClick={() => pick(v.key)}>
                <span>{setupValue(v.key).name}</span>
                <ValueTag value={v} />
              </Press>
            </li>
          ))}
        </ValueTabs>
      )}
      {value && (
        <ValueEntry
          key={`${step.id}-${value.key}`}
          value={value}
          onTyping={() => pick(value.key)}
          onTaken={() => pick(null)}
        >
          {children}
        </ValueEntry>
      )}
      <Signed step={step} />
      <PhotoStrip about={value ? `value:${value.key}` : `step:${step.id}`} />
      <Actions>
        {onward}
        <SignOff step={step} />
      </Actions>
    </>
  );
}

function ValueTag({ value }: { value: ValueState }) {
  const { snapshot } = useJob();
  const { reading, standing, stale } = value;
  if (!reading)
    return (
      <Text soft as="span">
        —
      </Text>
    );
  const text = readingText(reading, snapshot.shop.units);
  if (stale) return <Tag kind="again">{w.again}</Tag>;
  return (
    <Tag kind={standing === 'out' ? 'out' : standing === 'in' ? 'in' : 'plain'}>
      <WithFractions text={text} />
    </Tag>
  );
}
