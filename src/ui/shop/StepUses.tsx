'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import type { ShopSteps } from '@/core/bench';
import { TextField } from '../fields/TextField';
import { delivery as w } from '../words';
import { Actions, Block, Rows } from '../pieces/layout';
import { Text } from '../pieces/Text';
import { stepsOf, type Named } from './step-fields';
import css from './StepsPage.module.css';

/** What steps take off the shelf, and for how many bows a piece is enough. */
export function StepUses({
  steps,
  parts,
  onChange,
}: {
  steps: ShopSteps;
  parts: readonly Named[];
  onChange: (steps: ShopSteps) => void;
}) {
  const uses = steps.uses ?? [];
  const names = stepsOf(steps, '');
  const [stepId, setStep] = useState(names[0]?.id ?? '');
  const [partId, setPart] = useState(parts[0]?.id ?? '');
  const [lasts, setLasts] = useState('10');
  const nameOf = (list: readonly Named[], id: string) =>
    list.find((one) => one.id === id)?.name ?? id;
  const bows = /^\d{1,4}$/.test(lasts.trim()) ? Number(lasts) : 0;
  const isThere = uses.some((use) => use.stepId === stepId && use.partId === partId);
  const choice = (
    id: string,
    label: string,
    value: string,
    set: (next: string) => void,
    options: readonly Named[],
  ) => (
    <TextField
      id={id}
      select
      label={label}
      value={value}
      onChange={({ target }) => set(target.value)}
    >
      {options.map(({ id: one, name }) => (
        <option key={one} value={one}>
          {name}
        </option>
      ))}
    </TextField>
  );
  return (
    <Block>
      <h2>{w.uses}</h2>
      <Text soft>{w.usesLead}</Text>
      {uses.length === 0 ? (
        <Text soft>{w.usesNone}</Text>
      ) : (
        <Rows className={css.uses} data-part="uses">
          {uses.map((use) => (
            <li key={`${use.stepId} ${use.partId}`}>
              <b>{nameOf(names, use.stepId)}</b>
              <span>{w.usesLine(nameOf(parts, use.partId), use.lasts)}</span>
              <Button
                variant="text"
                onClick={() => onChange({ ...steps, uses: uses.filter((one) => one !== use) })}
              >
                {w.takeOff}
              </Button>
            </li>
          ))}
        </Rows>
      )}
      {parts.length === 0 ? (
        <Text soft>{w.usesNoParts}</Text>
      ) : (
        <>
          <div className={css.usesEntry}>
            {choice('use-step', w.usesStep, stepId, setStep, names)}
            {choice('use-part', w.usesPart, partId, setPart, parts)}
            <TextField
              id="use-lasts"
              label={w.usesLasts}
              value={lasts}
              slotProps={{ htmlInput: { maxLength: 4, inputMode: 'numeric' } }}
              onChange={({ target }) => setLasts(target.value)}
            />
          </div>
          <Actions>
            <Button
              variant="outlined"
              disabled={isThere || bows < 1 || bows > 1000}
              onClick={() =>
                onChange({ ...steps, uses: [...uses, { stepId, partId, lasts: bows }] })
              }
            >
              {w.usesAdd}
            </Button>
          </Actions>
        </>
      )}
    </Block>
  );
}
