'use client';
import { useState, type ReactNode } from 'react';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { decodeText, type Decoded, type TextReading } from '@/contracts/csv';
import { fileText as w } from '../words';
import { Note } from '../pieces/texts';
import { Rows } from '../pieces/layout';
import css from './useTextFile.module.css';

/** Larger than any file that is read in; nothing of it is loaded. */
const MOST_BYTES = 40_000_000;

/**
 * Reads a chosen file as text. How it is written is found out; where it cannot be, the readings stand
 * side by side to choose from.
 */
export function useTextFile(onText: (text: string) => void): {
  readonly choose: (file: File) => void;
  readonly asking: ReactNode;
} {
  const [decoded, setDecoded] = useState<Decoded | null>(null);
  const [used, setUsed] = useState<TextReading | null>(null);
  const take = (reading: TextReading) => {
    setUsed(reading);
    onText(reading.text);
  };
  const choose = async (file: File) => {
    setUsed(null);
    if (file.size > MOST_BYTES)
      return setDecoded({ say: 'refused', message: w.tooLarge(MOST_BYTES / 1e6) });
    const answer = decodeText(new Uint8Array(await file.arrayBuffer()));
    setDecoded(answer);
    if (answer.say === 'read') take(answer.reading);
  };
  return {
    choose: (file) => void choose(file),
    asking: decoded && <Encodings decoded={decoded} used={used} onTake={take} />,
  };
}

function Encodings({
  decoded,
  used,
  onTake,
}: {
  decoded: Decoded;
  used: TextReading | null;
  onTake: (reading: TextReading) => void;
}) {
  if (decoded.say === 'refused')
    return (
      <Note kind="stop" role="alert">
        {decoded.message}
      </Note>
    );
  const readings = decoded.say === 'ask' ? decoded.readings : [decoded.reading, ...decoded.others];
  // UTF-8 leaves no doubt, and nobody has to read of it.
  if (readings.length < 2) return null;
  return (
    <Stack spacing={2}>
      <p role="status">{used ? w.readAs(w.names[used.encoding]) : w.ask}</p>
      <Rows className={css.encodingRows}>
        {readings.map((reading) => (
          <li key={reading.encoding}>
            <b>{w.names[reading.encoding]}</b>
            <span>{reading.sample}</span>
            <Button
              variant="outlined"
              disabled={used?.encoding === reading.encoding}
              aria-label={w.useNamed(w.names[reading.encoding])}
              onClick={() => onTake(reading)}
            >
              {w.use}
            </Button>
          </li>
        ))}
      </Rows>
    </Stack>
  );
}
