'use client';
import { TextAnswer } from '../../fields/TextAnswer';
import { useJob } from '../../job/JobProvider';
import { meet as w } from '../../words';
import { useAnswer } from './answer';

type ArcherText =
  'name' | 'phone' | 'email' | 'guardianName' | 'guardianPhone' | 'injury' | 'eyesight';

/** One text of the archer, saved as it is left. */
export function ArcherField({
  field,
  check,
  type,
}: {
  field: ArcherText;
  check?: (text: string) => string | null;
  type?: 'tel';
}) {
  const { archer } = useJob().snapshot;
  const set = useAnswer().archer;
  return (
    <TextAnswer
      id={field}
      label={w[field]}
      value={archer[field]}
      maxLength={
        field === 'injury' || field === 'eyesight' ? 300 : field.endsWith('hone') ? 60 : 120
      }
      {...(type ? { type } : {})}
      {...(check ? { check } : {})}
      onSave={(value) => set({ [field]: value })}
    />
  );
}
