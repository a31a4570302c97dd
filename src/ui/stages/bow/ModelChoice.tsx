'use client';
import { useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import type { Command } from '@/contracts/commands';
import { oldBowFigures } from '@/core/job';
import { TextField } from '../../fields/TextField';
import { useFind } from '../../frame/useFind';
import { useJob } from '../../job/JobProvider';
import { useStage } from '../../job/useStage';
import { useKept } from '../../keep/useKept';
import { Actions, Block, Rows } from '../../pieces/layout';
import { Note } from '../../pieces/texts';
import { Text } from '../../pieces/Text';
import { like as w } from '../../words';
import { modelCodeKey } from '../../keep/model-code';
import css from './ModelChoice.module.css';

type From = Extract<Command, { name: 'setModel' }>['from'];

/** A build sheet has some 60 kB; what is larger than a body may be is not even read. */
const MOST_BYTES = 1_000_000;

/** Which bow is the model: of this shop, a sheet or card from elsewhere, or the old bow as measured. */
export function ModelChoice() {
  const { send } = useJob();
  const [trouble, setTrouble] = useState('');
  const take = async (from: From) => {
    const refused = await send({ name: 'setModel', from });
    setTrouble(refused?.message ?? '');
    return refused === null;
  };
  return (
    <>
      <Text soft>{w.lead}</Text>
      {trouble && (
        <Note kind="stop" role="alert">
          {trouble}
        </Note>
      )}
      <OfShop onTake={take} />
      <FromElsewhere onTake={take} onTrouble={setTrouble} />
    </>
  );
}

interface Taking {
  readonly onTake: (from: From) => Promise<boolean>;
}

function OfShop({ onTake }: Taking) {
  const { snapshot, sending } = useJob();
  const { href } = useStage();
  const { job, sheets, earlier, fitReadings } = snapshot;
  const [text, setText] = useState('');
  const found = useFind(text);
  const others = (found ?? []).filter(({ jobId }) => jobId !== job.id);
  const old = oldBowFigures(fitReadings);
  const hasOld = Object.keys(old).length > 0 || fitReadings.some(({ key }) => key === 'fittingBow');
  const rows: { id: string; name: string; from: From }[] = [
    ...sheets.map(({ revision }) => ({
      id: `own-${revision}`,
      name: w.own(revision),
      from: { kind: 'sheet' as const, jobId: job.id, revision },
    })),
    ...earlier.flatMap(({ jobId, bow, number, sheetRevision }) =>
      sheetRevision === null
        ? []
        : [
            {
              id: jobId,
              name: w.earlier(bow ?? '', number, sheetRevision),
              from: { kind: 'sheet' as const, jobId, revision: sheetRevision },
            },
          ],
    ),
    ...(hasOld ? [{ id: 'old', name: w.old, from: { kind: 'oldBow' as const } }] : []),
    ...others.map(({ jobId, name, number, about }) => ({
      id: `found-${jobId}`,
      name: `${name}, ${number}: ${about}`,
      from: { kind: 'sheet' as const, jobId },
    })),
  ];
  return (
    <Block>
      <h3>{w.here}</h3>
      <div className={css.find}>
        <TextField
          id="model-find"
          label={w.find}
          autoComplete="off"
          value={text}
          slotProps={{ htmlInput: { maxLength: 100 } }}
          onChange={({ target }) => setText(target.value)}
        />
      </div>
      {text.trim() !== '' && found !== null && others.length === 0 && (
        <Text soft role="status">
          {w.noSheet}
        </Text>
      )}
      <Rows className={css.rows} data-part="models">
        {rows.map(({ id, name, from }) => (
          <li key={id}>
            <span>{name}</span>
            <Button
              variant="outlined"
              disabled={sending}
              aria-label={`${w.take}: ${name}`}
              onClick={() => void onTake(from)}
            >
              {w.take}
            </Button>
          </li>
        ))}
      </Rows>
      {!hasOld && (
        <Actions>
          <Link href={href('fit', { part: 'old' })} prefetch={false}>
            {w.measureOld}
          </Link>
        </Actions>
      )}
    </Block>
  );
}

function FromElsewhere({ onTake, onTrouble }: Taking & { onTrouble: (why: string) => void }) {
  const { snapshot, sending } = useJob();
  const code = useKept(modelCodeKey(snapshot.job.id), () => '');
  const [name, setName] = useState('');
  const file = async (chosen: File | undefined) => {
    if (!chosen) return;
    setName(chosen.name);
    if (chosen.size > MOST_BYTES) return onTrouble(w.tooLarge);
    let sheet: unknown;
    try {
      sheet = JSON.parse(await chosen.text());
    } catch {
      return onTrouble(w.notJson);
    }
    await onTake({ kind: 'file', sheet });
  };
  return (
    <Block>
      <h3>{w.elsewhere}</h3>
      <Actions>
        <Button variant="outlined" component="label" disabled={sending}>
          {w.file}
          <input
            id="model-file"
            type="file"
            accept=".json,application/json"
            hidden
            onChange={({ target }) => {
              void file(target.files?.[0]);
              target.value = '';
            }}
          />
        </Button>
        <Link href="/code" prefetch={false}>
          {w.camera}
        </Link>
      </Actions>
      <Text variant="small" soft>
        {[w.fileHint, name].filter(Boolean).join(': ')}
      </Text>
      <div className={css.code}>
        <TextField
          id="model-code"
          label={w.code}
          helperText={w.codeHint}
          value={code.value}
          multiline
          minRows={2}
          maxRows={6}
          slotProps={{ htmlInput: { maxLength: 4000 } }}
          onChange={({ target }) => code.set(() => target.value)}
        />
      </div>
      <Actions>
        <Button
          variant="outlined"
          disabled={code.value.trim() === '' || sending}
          onClick={() =>
            void onTake({ kind: 'code', text: code.value }).then((taken) => taken && code.forget())
          }
        >
          {w.takeCode}
        </Button>
      </Actions>
    </Block>
  );
}
