'use client';
import { BrokenPage } from '@/ui/frame/BrokenPage';
import { broken } from '@/ui/words';

/** One job that cannot be read or drawn takes nothing else along. */
export default function JobErrorPage({ reset }: { reset: () => void }) {
  return <BrokenPage title={broken.job} text={broken.jobText} reset={reset} />;
}
