'use client';
import {
  useEffect,
  useEffectEvent,
  useId,
  useRef,
  type ReactNode,
  type SyntheticEvent,
} from 'react';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Close from '@mui/icons-material/Close';
import { actedAt } from '../pieces/acted-at';
import { frame } from '../words';

/** So long after a question stands, taps and keys are not meant for it. */
const ANSWER_AFTER_MS = 400;

/** Swallows taps and keys until a question has stood long enough to have been read. */
function useAnswerGuard(question: boolean) {
  const stands = useRef<number | null>(null);
  if (!question) return {};
  const early = (event: SyntheticEvent) => {
    if (actedAt(event) - (stands.current ?? Infinity) >= ANSWER_AFTER_MS) return;
    event.preventDefault();
    event.stopPropagation();
  };
  return {
    ref: (node: HTMLElement | null) => {
      // It stands from the frame on that shows it.
      if (node) requestAnimationFrame(() => (stands.current ??= performance.now()));
    },
    onClickCapture: early,
    onKeyDownCapture: (event: SyntheticEvent & { key?: string; nativeEvent: Event }) => {
      const held = (event.nativeEvent as KeyboardEvent).repeat;
      if (held) event.preventDefault();
      if (event.key !== 'Escape' || held) early(event);
    },
  };
}

/** A window over the work: title, a way out, its content. */
export function Panel({
  title,
  onClose,
  children,
  wide = false,
  typing = false,
  question = false,
}: {
  title: string;
  onClose: () => void;
  children: ReactNode;
  wide?: boolean;
  /** Holds a form: a tap beside it does not throw away what was typed. */
  typing?: boolean;
  /** Asks something: a second tap of the finger that asked, or a held key, answers nothing. */
  question?: boolean;
}) {
  const id = useId();
  const guard = useAnswerGuard(question);
  const left = useEffectEvent(() => !typing && onClose());
  useEffect(() => {
    // Back: one stands before what was there, not before the window. What is being typed stays.
    const back = () => void left();
    window.addEventListener('popstate', back);
    return () => window.removeEventListener('popstate', back);
  }, []);
  return (
    <Dialog
      open
      onClose={(_, reason) => (typing && reason === 'backdropClick' ? undefined : onClose())}
      aria-labelledby={id}
      maxWidth={wide ? 'md' : 'sm'}
      fullWidth
    >
      <div {...guard}>
        <DialogTitle component="div">
          <h2 id={id}>{title}</h2>
          <Button variant="plain" aria-label={frame.close} onClick={onClose}>
            <Close />
          </Button>
        </DialogTitle>
        <DialogContent>{children}</DialogContent>
      </div>
    </Dialog>
  );
}
