import { aSheet } from '@/core/testing/a-sheet';
import { BlockWriter } from './block-writer';
import { sheetPdf } from './sheet-pdf';

const sheet = aSheet();

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
