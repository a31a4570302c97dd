'use client';
import { useState } from 'react';
import { useRouter } from 'next/navigation';
import Button from '@mui/material/Button';
import { TextField } from '../fields/TextField';
import { keepDraft } from '../keep/draft';
import { modelCodeKey } from '../keep/model-code';
import { codeWords as w } from '../words';
import css from './CodePage.module.css';

export interface OpenJob {
  readonly id: string;
  readonly number: number;
  readonly name: string;
}

/** The bow of a code as the model of an open job: its text goes along and is taken there. */
export function TakeAsModel({ text, jobs }: { text: string; jobs: readonly OpenJob[] }) {
  const router = useRouter();
  const [chosen, choose] = useState('');
  if (jobs.length === 0) return null;
  const go = () => {
    keepDraft(modelCodeKey(chosen), JSON.stringify(text));
    router.push(`/jobs/${chosen}/bow?part=like`);
  };
  return (
    <div className={css.take}>
      <TextField
        select
        id="code-job"
        label={w.compareWith}
        value={chosen}
        onChange={({ target }) => choose(target.value)}
      >
        <option value="">{w.whichJob}</option>
        {jobs.map(({ id, number, name }) => (
          <option key={id} value={id}>
            {number}, {name}
          </option>
        ))}
      </TextField>
      <Button variant="outlined" disabled={chosen === ''} onClick={go}>
        {w.toJob}
      </Button>
    </div>
  );
}
