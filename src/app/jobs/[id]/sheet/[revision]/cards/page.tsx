import { notFound } from 'next/navigation';
import { codeText } from '@/core/sheet';
import { codeMatrix } from '@/server/card';
import { findSheet } from '@/server/sheets';
import { CardsPage } from '@/ui/sheet/CardsPage';

/** Cards of a sheet, to be looked at and printed. */
export default async function Page({
  params,
}: {
  params: Promise<{ id: string; revision: string }>;
}) {
  const { id, revision } = await params;
  const sheet = findSheet(id, revision) ?? notFound();
  const text = codeText(sheet);
  return <CardsPage jobId={id} sheet={sheet} code={text === null ? null : codeMatrix(text)} />;
}
