'use client';
import { useCallback, useRef, useState, type ReactNode } from 'react';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { frame } from '../words';
import { Actions } from '../pieces/layout';
import { Panel } from './Panel';

interface Question<A extends string = string> {
  readonly title: string;
  readonly text: ReactNode;
  /** The safest first: it has the focus. */
  readonly answers: readonly { readonly id: A; readonly name: string }[];
}

/** A question over the work. `ask` waits for the answer; null when the question was closed. */
export function useAsk(): {
  readonly ask: <A extends string>(question: Question<A>) => Promise<A | null>;
  readonly asking: ReactNode;
} {
  const [question, put] = useState<Question | null>(null);
  const settle = useRef<(answer: string | null) => void>(() => undefined);
  const ask = useCallback(<A extends string>(next: Question<A>): Promise<A | null> => {
    settle.current(null);
    put(next);
    return new Promise<A | null>((resolve) => {
      settle.current = resolve as (answer: string | null) => void;
    });
  }, []);
  const answer = (id: string | null) => {
    put(null);
    settle.current(id);
    settle.current = () => undefined;
  };
  const asking = question && (
    <Panel question title={question.title} onClose={() => answer(null)}>
      <Stack spacing={2}>
        <div>{question.text}</div>
        <Actions>
          {question.answers.map(({ id, name }, i) => (
            <Button
              key={id}
              variant={i === 0 ? 'contained' : 'outlined'}
              autoFocus={i === 0}
              onClick={() => answer(id)}
            >
              {name}
            </Button>
          ))}
          <Button variant="text" onClick={() => answer(null)}>
            {frame.cancel}
          </Button>
        </Actions>
      </Stack>
    </Panel>
  );
  return { ask, asking };
}
