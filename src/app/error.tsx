'use client';
import { BrokenPage } from '@/ui/frame/BrokenPage';
import { broken } from '@/ui/words';

export default function ErrorPage({ reset }: { reset: () => void }) {
  return <BrokenPage title={broken.title} text={broken.text} reset={reset} />;
}
