import { SHEET_LABELS } from '@/core/sheet/labels';

/** Words of the build sheet as a page; the sheet's own stand with it in core. */
export const sheet = {
  ...SHEET_LABELS,
  ticket: (n: number) => `ticket ${n}`,
  madeBy: (who: string, when: string) => `${when}, ${who}`,
  back: 'Back to the job',
  print: 'Print',
  value: 'Value',
  measured: 'Measured',
  wanted: 'Wanted',
  by: 'By',
  newer: (n: number) => `There is a newer revision, ${n}.`,
} as const;
