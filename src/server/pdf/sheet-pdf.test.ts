import { derive } from '@/core/job';
import { sheetDocument } from '@/core/sheet';
import { aFinishedJob } from '@/core/testing/fixtures';
import { BlockWriter } from './block-writer';
import { sheetPdf } from './sheet-pdf';

const snapshot = aFinishedJob();
const sheet = sheetDocument(snapshot, derive(snapshot), {
  revision: 3,
  madeAt: '2026-11-24T16:00:00.000Z',
  madeDay: '2026-11-24',
  madeBy: 'T. Okoro',
  openReason: null,
});

test.each([
  [null, ['Archer', 'Shop']],
  ['Femke Abeling', ['Guardian', 'Shop']],
])('with %j as guardian it is signed by %j', async (guardianName, names) => {
  const signatures = jest.spyOn(BlockWriter.prototype, 'signatures');
  await sheetPdf(
    { ...sheet, archer: { ...sheet.archer, guardianName } },
    { paper: 'A4', prices: true, timeZone: 'Europe/Berlin' },
  );
  expect(signatures.mock.lastCall![0]).toEqual(names);
});
