import { SHEET_LABELS } from '@/core/sheet/labels';

/** Words of the build sheet as a page; the sheet's own stand with it in core. */
export const sheet = {
  ...SHEET_LABELS,
  madeBy: (who: string, when: string) => `${when}, ${who}`,
  back: 'Back to the job',
  print: 'Print',
  value: 'Value',
  drawing: (bow: string) => `${bow} from its own measures, every number where it is measured`,
  withoutPrices: 'Without prices',
  withPrices: 'With prices',
  beside: (n: number) => `Beside revision ${n}`,
  compareTitle: (from: number, to: number) => `Revision ${from} beside revision ${to}`,
  compareSum: (moved: number, within: number) =>
    [
      moved === 0 ? 'Nothing was moved.' : `${moved} changed.`,
      within === 0 ? null : `${within} measured again within tolerance.`,
    ]
      .filter(Boolean)
      .join(' '),
  earlier: 'Left',
  later: 'Right',
  ticks: 'Looked at, tried, found',
  partsAndMarks: 'Parts, bow and marks',
  newer: (n: number) => `There is a newer revision, ${n}.`,
} as const;
