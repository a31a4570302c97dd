'use client';
import { useState } from 'react';
import { useRouter } from 'next/navigation';
import Button from '@mui/material/Button';
import { post } from '../keep/post';
import { Actions } from '../pieces/layout';
import { Text } from '../pieces/Text';
import { firstWords as w } from '../words';

/** Ids of what stands here of the sample. */
export interface SampleIds {
  readonly bows: readonly string[];
  readonly parts: readonly string[];
}

export const countOf = ({ bows, parts }: SampleIds): SampleCount => ({
  bows: bows.length,
  parts: parts.length,
});

export interface SampleCount {
  readonly bows: number;
  readonly parts: number;
}

/** The sample catalogue: put in to learn with, taken off in one go. */
export function Samples({
  count,
  offer = true,
  onDone,
}: {
  count: SampleCount;
  /** Asked also where none of it stands here. */
  offer?: boolean;
  onDone?: () => void;
}) {
  const [now, setNow] = useState(count);
  const [busy, setBusy] = useState(false);
  const [said, setSaid] = useState<{ text: string; wrong: boolean } | null>(null);
  const router = useRouter();
  const send = async (method: 'POST' | 'DELETE') => {
    setBusy(true);
    const answer = await post<SampleCount>('/api/v1/shop/samples', {}, method);
    setBusy(false);
    if (!answer.ok) return setSaid({ text: answer.message, wrong: true });
    setNow(answer.body);
    const left = answer.body.bows + answer.body.parts;
    setSaid(method === 'DELETE' && left > 0 ? { text: w.sampleLeft(left), wrong: false } : null);
    onDone?.();
    router.refresh();
  };
  const here = now.bows + now.parts > 0;
  if (!here && !offer) return null;
  return (
    <div data-part="samples">
      <Text soft>{here ? w.sampleHere(now.bows, now.parts) : w.sampleSays}</Text>
      <Actions>
        <Button
          variant="outlined"
          disabled={busy}
          onClick={() => void send(here ? 'DELETE' : 'POST')}
        >
          {here ? w.sampleOut : w.sampleIn}
        </Button>
      </Actions>
      {said && (
        <Text role="status" wrong={said.wrong}>
          {said.text}
        </Text>
      )}
    </div>
  );
}
