'use client';
import { useEffect, useRef } from 'react';
import Pad from 'signature_pad';
import Button from '@mui/material/Button';
import { Text } from '../../pieces/Text';
import { delivery as w } from '../../words';
import css from './SignaturePad.module.css';

/** As the entry carries it: whole pixels, x and y in turn. */
export interface Signed {
  readonly width: number;
  readonly height: number;
  readonly strokes: number[][];
}

/** As many points as a stroke may have. */
const MOST_POINTS = 2000;

/** A field to sign in with finger or pen; null until there is a stroke. */
export function SignaturePad({
  label,
  onChange,
}: {
  label: string;
  onChange: (signed: Signed | null) => void;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const pad = useRef<Pad | null>(null);
  const told = useRef(onChange);
  useEffect(() => {
    told.current = onChange;
  });
  useEffect(() => {
    const field = canvas.current!;
    const own = new Pad(field, { penColor: getComputedStyle(field).color });
    pad.current = own;
    // Its squares are the screen's: a stroke is as wide as the pen wherever it is drawn.
    const fit = () => {
      const { width, height } = field.getBoundingClientRect();
      if (Math.round(width) === field.width && Math.round(height) === field.height) return;
      const drawn = own.toData();
      field.width = Math.round(width);
      field.height = Math.round(height);
      own.fromData(drawn);
    };
    fit();
    const tell = () => told.current(signedOf(own, field));
    own.addEventListener('endStroke', tell);
    const watcher = new ResizeObserver(fit);
    watcher.observe(field);
    return () => {
      watcher.disconnect();
      own.off();
    };
  }, []);
  return (
    <div className={css.pad}>
      <canvas ref={canvas} aria-label={label} role="img" data-part="signature" />
      <Text variant="small" soft as="span">
        {label}
      </Text>{' '}
      <Button
        variant="text"
        onClick={() => {
          pad.current?.clear();
          onChange(null);
        }}
      >
        {w.signAgain}
      </Button>
    </div>
  );
}

function signedOf(pad: Pad, { width, height }: HTMLCanvasElement): Signed | null {
  const inside = (value: number, most: number) => Math.min(most, Math.max(0, Math.round(value)));
  const strokes = pad
    .toData()
    .slice(0, 200)
    .map(({ points }) =>
      points.slice(0, MOST_POINTS).flatMap(({ x, y }) => [inside(x, width), inside(y, height)]),
    )
    .filter((stroke) => stroke.length > 0);
  return strokes.length === 0 ? null : { width, height, strokes };
}
