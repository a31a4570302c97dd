'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import type { Program } from '@/core/people';
import { whenText } from '../fields/dates';
import { Actions, Block, Rows } from '../pieces/layout';
import { Text } from '../pieces/Text';
import { Note } from '../pieces/texts';
import { peopleWords as w } from '../words';
import { ProgramForm } from './ProgramForm';
import { useDismiss, type SendManaged } from './usePeople';
import css from './people.module.css';

/** Other programs that may ask, each by a token of its own. */
export function Programs({
  programs,
  send,
  today,
  timeZone,
}: {
  programs: readonly Program[];
  send: SendManaged;
  today: string;
  timeZone: string;
}) {
  const [adding, setAdding] = useState(false);
  const { dismiss, asking, trouble } = useDismiss(send);
  const when = (at: string) => whenText(at, timeZone, today);
  const end = ({ id, name }: Program) =>
    dismiss(`/api/v1/programs/${id}`, w.endAsk(name), w.endText, w.endDo);
  return (
    <Block data-part="programs">
      <h2>{w.programs}</h2>
      <Text soft>{w.programsLead}</Text>
      <Rows className={css.rows}>
        {programs.length === 0 && (
          <Text soft as="li">
            {w.noPrograms}
          </Text>
        )}
        {programs.map((program) => (
          <li key={program.id} data-left={program.endedAt !== null}>
            <b>{program.name}</b>
            <span>{program.rights.join(', ')}</span>
            <Text variant="small" soft>
              {program.endedAt
                ? `${w.ended}, ${when(program.endedAt)}`
                : program.usedAt
                  ? w.used(when(program.usedAt))
                  : w.neverUsed}
              {`; ${w.made(program.madeBy, when(program.madeAt))}`}
            </Text>
            <span className={css.acts}>
              {!program.endedAt && (
                <Button variant="text" onClick={() => void end(program)}>
                  {w.end}
                </Button>
              )}
            </span>
          </li>
        ))}
      </Rows>
      {trouble && (
        <Note kind="stop" role="alert">
          {trouble}
        </Note>
      )}
      <Actions>
        <Button variant="outlined" onClick={() => setAdding(true)}>
          {w.addProgram}
        </Button>
      </Actions>
      {adding && <ProgramForm send={send} onClose={() => setAdding(false)} />}
      {asking}
    </Block>
  );
}
