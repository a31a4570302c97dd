'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import type { Program } from '@/core/people';
import { whenText } from '../fields/dates';
import { useAsk } from '../frame/useAsk';
import { Actions, Block, Rows } from '../pieces/layout';
import { Text } from '../pieces/Text';
import { Note } from '../pieces/texts';
import { peopleWords as w } from '../words';
import { ProgramForm } from './ProgramForm';
import type { SendManaged } from './usePeople';
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
  const [trouble, setTrouble] = useState('');
  const { ask, asking } = useAsk();
  const when = (at: string) => whenText(at, timeZone, today);
  const end = async ({ id, name }: Program) => {
    const said = await ask({
      title: w.endAsk(name),
      text: w.endText,
      answers: [{ id: 'end', name: w.endDo }],
    });
    if (said !== 'end') return;
    const answer = await send(`/api/v1/programs/${id}`, {}, 'DELETE');
    setTrouble('fault' in answer ? answer.fault.message : '');
  };
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
