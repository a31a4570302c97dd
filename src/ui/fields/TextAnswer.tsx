'use client';
import { useEffect, useRef, useState } from 'react';
import { useParams } from 'next/navigation';
import { draftOf, keepDraft } from '../keep/draft';
import type { Trouble } from '../keep/post';
import { TextField } from './TextField';

interface TextAnswerProps {
  readonly id: string;
  readonly label: string;
  /** What is saved. */
  readonly value: string;
  /** Saves what was typed; null when it is saved, else why not. */
  readonly onSave: (text: string) => Promise<Trouble | null>;
  /** A sentence when the text cannot be saved as it is; null when it can. */
  readonly check?: (text: string) => string | null;
  readonly hint?: string;
  readonly placeholder?: string;
  readonly multiline?: boolean;
  readonly maxLength?: number;
  readonly type?: 'text' | 'date' | 'datetime-local' | 'tel' | 'email';
}

/** What stood here unsaved; null where nothing did. */
function unsaved(draft: string): string | null {
  try {
    return JSON.parse(draftOf(draft) || 'null') as string | null;
  } catch {
    return null;
  }
}

/** A text saved when the field is left; what was typed stays when it could not be saved. */
export function TextAnswer(props: TextAnswerProps) {
  const { id, label, value, hint, multiline = false, maxLength = 300, type = 'text' } = props;
  const [text, setText] = useState(value);
  const [trouble, setTrouble] = useState('');
  const saved = useRef(value);
  // Outside of a job's pages there are no parameters.
  const page = (useParams() as { id?: string } | null)?.id ?? '';
  const draft = `${page}.answer.${id}`;
  // What was typed and not saved before the page went stands here again.
  useEffect(() => {
    const kept = unsaved(draft);
    if (kept !== null && kept !== saved.current) setText(kept);
  }, [draft]);
  useEffect(() => {
    // Another screen or an undo changed it: follow, unless something unsaved stands here.
    setText((now) => (now === saved.current ? value : now));
    saved.current = value;
  }, [value]);
  const save = async () => {
    if (text.trim() === saved.current.trim()) {
      keepDraft(draft, '');
      return setTrouble('');
    }
    const wrong = props.check?.(text) ?? null;
    if (wrong) return setTrouble(wrong);
    // What comes back may be written otherwise ("900" as "€ 900"); the field then follows it.
    const before = saved.current;
    saved.current = text;
    const answer = await props.onSave(text.trim());
    if (answer) saved.current = before;
    else keepDraft(draft, '');
    setTrouble(answer?.message ?? '');
  };
  return (
    <TextField
      id={id}
      label={label}
      value={text}
      type={type}
      multiline={multiline}
      autoComplete="off"
      placeholder={props.placeholder}
      error={trouble !== ''}
      helperText={trouble || hint}
      slotProps={{
        htmlInput: { maxLength },
        formHelperText: trouble ? { role: 'alert' } : {},
      }}
      onChange={(event) => {
        setText(event.target.value);
        // As JSON: a text that was emptied is a draft too.
        keepDraft(draft, JSON.stringify(event.target.value));
        setTrouble('');
      }}
      onBlur={() => void save()}
      onKeyDown={(event) => {
        if (event.key === 'Enter' && !multiline) void save();
      }}
    />
  );
}
