import { SHEET_LABELS } from '@/core/sheet/labels';

/** Words of Handover. */
export const handover = {
  title: 'Handover',
  ready: 'Everything is done',
  openCount: (n: number) => `${n} still open`,
  open: 'Still open',
  nothingOpen: 'Nothing is open: every value is measured and in tolerance, or signed.',
  tight: 'Everything tight',
  cautions: SHEET_LABELS.told,
  told: (n: number, of: number) => `${n} of ${of}`,
  tellAll: 'Read each one aloud; tick it when the archer says yes.',
  openReason: 'Why it is handed over with work open',
  openReasonHint: 'Goes on the sheet.',
  make: 'Make the build sheet',
  makeAgain: (n: number) => `Make revision ${n}`,
  blocked: 'Every caution has to be ticked first.',
  sheets: 'Build sheets',
  noSheets: 'No sheet yet.',
  takeBack: 'Take the handover back',
  takeBackText:
    'The job is open again; bow and parts that lay in the shop are counted there again, put aside for it. The sheets stay as they were signed.',
  revision: (n: number) => `Revision ${n}`,
  page: 'Page',
  cards: 'Cards',
  a4: 'PDF, A4',
  letter: 'PDF, US Letter',
  json: 'JSON',
  because: {
    immutable: 'A sheet is never changed. What changes afterwards makes the next revision.',
    open: 'Work may be left open with a reason; it stands on the sheet as open.',
  },
  watch: {
    minor: 'The guardian is there and hears the cautions too.',
  },
} as const;
