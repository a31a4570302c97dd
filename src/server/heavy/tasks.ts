import type { CalendarInput } from '@/core/calendar';
import type { PaperSize } from '@/core/flight';
import { db } from '@/data/db';
import type { PutBackBy } from '@/data/put-back';
import { shopSettings } from '@/data/settings';
import { auditFile } from '../access/audit';
import { backupBack, backupLook } from '../backup-looks';
import { bundleFile, lookAtBundle } from '../archer-bundle';
import { compute } from '../compute';
import { cardFile, type CardWish } from '../card';
import { closedDaysIn } from '../closed-days';
import { firstPlan } from '../first-plan';
import { frontierFor, packagesFor } from '../packages';
import { bowsFile, lookAtBows } from '../bow-looks';

import { listOfSupplier, lookAtImport } from '../part-looks';
import { partsFile } from '../part-stock';
import { recordPictures } from '../photos';
import { keptPicture } from '../pictures';
import { deliveryPdf, sheetPdf } from '../pdf/sheet-pdf';
import { homePdf, twinPdf } from '../pdf/block-pdfs';
import { loadSnapshot } from '../load-snapshot';
import { notFound } from '../problem';
import { loadDelivery, loadSheet } from '../sheets';
import { registerFile } from '../register';
import { tapeFile } from '../tape';
import { wholeFile } from '../whole-out';

function snapshotOf(jobId: string) {
  const snapshot = loadSnapshot(jobId);
  if (!snapshot) throw notFound('job');
  return snapshot;
}

/**
 * Work that may take longer than others should wait for. What goes in and comes out is plain data; what
 * is read from the shop is read by a connection of the thread's own, and nothing is written.
 */
export const TASKS = {
  compute: (name: string, input: unknown) => compute(name, input),
  packages: (jobId: string) => packagesFor(jobId),
  frontier: (jobId: string) => frontierFor(jobId),
  partsFile: (kind: string | null) => partsFile(kind),
  importLook: (importId: string, offset: number) => lookAtImport(importId, undefined, offset),
  supplierList: (supplier: string) => listOfSupplier(supplier),
  bowsFile: () => bowsFile(),
  auditFile: () => auditFile(),
  backupLook: (name: string) => backupLook(name),
  backupBack: (name: string, kept: string, by: PutBackBy) => backupBack(name, kept, by),
  wholeFile: (madeAt: string) => wholeFile(madeAt),
  archerFile: (archerId: string, madeAt: string) => bundleFile(archerId, madeAt),
  archerLook: (bytes: Uint8Array) => lookAtBundle(bytes),
  registerFile: (asked: Readonly<Record<string, string>>) => registerFile(asked),
  bowFile: (text: string) => lookAtBows(text),
  plan: (input: CalendarInput) => firstPlan(input),
  closedDays: (text: string, today: string) => closedDaysIn(text, today),
  twinPdf: (jobId: string, paper: PaperSize) => twinPdf(snapshotOf(jobId), paper),
  homePdf: (jobId: string, paper: PaperSize) => homePdf(snapshotOf(jobId), paper),
  tape: (jobId: string, query: string) => tapeFile(jobId, new URLSearchParams(query)),
  card: (jobId: string, revision: string, wish: CardWish) =>
    cardFile(loadSheet(jobId, revision), wish),
  deliveryNote: (jobId: string, paper: PaperSize, prices: boolean) => {
    const { sheet, money } = loadDelivery(jobId);
    return deliveryPdf(sheet, money, { paper, prices });
  },
  picture: (bytes: Uint8Array) => keptPicture(bytes),
  sheetPdf: (jobId: string, revision: string, paper: PaperSize, prices: boolean) => {
    const sheet = loadSheet(jobId, revision);
    const pictures = recordPictures(jobId, sheet.photos);
    return sheetPdf(sheet, { paper, prices, timeZone: shopSettings(db()).timeZone, pictures });
  },
} as const;

export type TaskName = keyof typeof TASKS;
export type TaskArgs<N extends TaskName> = Parameters<(typeof TASKS)[N]>;
export type TaskResult<N extends TaskName> = Awaited<ReturnType<(typeof TASKS)[N]>>;
