'use client';
import { useId, type ReactNode } from 'react';
import Dialog from '@mui/material/Dialog';
import Close from '@mui/icons-material/Close';
import { frame } from '../words';

/** A window over the work: title, a way out, its content. */
export function Panel({
  title,
  onClose,
  children,
  wide = false,
  typing = false,
}: {
  title: string;
  onClose: () => void;
  children: ReactNode;
  wide?: boolean;
  /** Holds a form: a tap beside it does not throw away what was typed. */
  typing?: boolean;
}) {
  const id = useId();
  return (
    <Dialog
      open
      onClose={(_, reason) => (typing && reason === 'backdropClick' ? undefined : onClose())}
      aria-labelledby={id}
      maxWidth={wide ? 'md' : 'sm'}
      fullWidth
    >
      <div className="panel">
        <header>
          <h2 id={id}>{title}</h2>
          <button type="button" className="plain-button" aria-label={frame.close} onClick={onClose}>
            <Close />
          </button>
        </header>
        {children}
      </div>
    </Dialog>
  );
}
