import type { Metadata } from 'next';
import { Notice } from '@/ui/frame/Notice';

export const metadata: Metadata = { title: 'Not found' };

export default function NotFound() {
  return (
    <Notice
      title="There is nothing at this address"
      text="The job or page may have been mistyped. Today lists every job, and find (/) looks them up by name."
    />
  );
}
