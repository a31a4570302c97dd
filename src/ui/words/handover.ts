import { SHEET_LABELS } from '@/core/sheet/labels';

/** Words of Steady and Handover. */
export const steady = {
  title: 'Steady',
  lead: 'How the bow hangs and tips. Noted now; bars are chosen by hand.',
  mass: 'Mass, ready to shoot',
  tip: 'After the shot it',
  tipHow: 'Loose grip and sling, no bars first: watch which way the bow falls.',
  noted: 'noted',
  because: {
    tip: 'What tips left is cancelled to the right, what rolls forward further back. Keep that ratio when mass is added.',
    parts: 'A quiver and a sight pull the bow to their side.',
  },
  watch: {
    noise: 'Differences between set-ups are often smaller than the noise of a few shots.',
    sling: 'Sling on, grip loose: do not catch the bow.',
  },
} as const;

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
