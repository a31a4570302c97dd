'use client';
import { useState, type ComponentProps } from 'react';
import Button, { type ButtonProps } from '@mui/material/Button';
import { ReasonPanel } from './ReasonPanel';

/** A button for what is done only with a reason: pressed, it asks for one. */
export function ReasonButton({
  variant = 'text',
  children,
  ...asked
}: Pick<ButtonProps, 'variant' | 'children'> &
  Omit<ComponentProps<typeof ReasonPanel>, 'onClose'>) {
  const [asking, setAsking] = useState(false);
  return (
    <>
      <Button variant={variant} onClick={() => setAsking(true)}>
        {children}
      </Button>
      {asking && <ReasonPanel {...asked} onClose={() => setAsking(false)} />}
    </>
  );
}
