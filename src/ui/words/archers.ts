import type { HeldOfArcher } from '@/core/erase';
import { meet } from './meet';
import { pages } from './pages';

/** Words of what a shop knows of a person: shown, given, erased. */
export const archerWords = {
  title: pages.archers,
  of: (name: string) => `What is known of ${name}`,
  link: 'What is known of them',
  lead: 'Everything of this person that is kept here. They may see it, have it, and have it erased.',
  fields: {
    name: meet.name,
    phone: meet.phone,
    email: meet.email,
    birthDay: meet.born,
    ageBand: 'About how old',
    minor: 'Minor',
    guardianName: meet.guardianName,
    guardianPhone: meet.guardianPhone,
    hand: meet.hand,
    dominantEye: meet.eye,
    eyeHandling: 'Hand and eye',
    build: meet.build,
    experience: meet.experience,
    injured: meet.injured,
    injury: meet.injury,
    eyesight: meet.eyesight,
    release: meet.release,
    wall: meet.wall,
  },
  yes: 'yes',
  no: 'no',
  nothing: 'nothing told',
  jobs: 'Tickets',
  noJobs: 'No ticket.',
  opened: (day: string) => `opened ${day}`,
  left: (day: string) => `handed over ${day}`,
  cameToNothing: (day: string) => `came to nothing ${day}`,
  open: 'still open',
  noBow: 'no bow',
  held: 'Besides',
  counts: (held: HeldOfArcher) =>
    [
      [held.readings, 'reading', 'readings'],
      [held.sheets, 'build sheet', 'build sheets'],
      [held.quotes, 'quote', 'quotes'],
      [held.payments, 'payment', 'payments'],
      [held.photos, 'photograph', 'photographs'],
      [held.traces, 'aimed shot', 'aimed shots'],
      [held.entries, 'entry', 'entries'],
    ]
      .filter(([count]) => (count as number) > 0)
      .map(([count, one, more]) => `${count} ${count === 1 ? one : more}`)
      .join(' · ') || 'nothing',
  give: 'Give it to them',
  giveSays:
    'One file with everything above: JSON, the bows as a table, the sheets, the photographs. Another shop that works with Waffenrad reads it.',
  giveDo: 'Save the file',
  erase: 'Erase the person',
  eraseSays: [
    'Name, telephone, mail, guardian, birth date, injuries, notes, signatures and photographs go, here and on every sheet and quote.',
    'The bow’s record stays without the person: readings, settings, marks, parts, sums. A bow that comes back is found by its number and ticket.',
    'It cannot be taken back. Backups made before still hold the person until they are replaced; tablets forget the pages they kept when they are opened again; the file itself is written anew when the program begins next.',
  ],
  eraseOpen: (tickets: string) =>
    `Still open: ticket ${tickets}. Promise and appointment go with the person, the ticket stays.`,
  eraseName: (name: string) => `Write the name, ${name}, to make sure`,
  eraseDo: 'Erase for good',
  erased: (when: string) => `Erased ${when}. What is left says nothing of who it was.`,
  long: 'Not here for long',
  longLead: (years: number) =>
    `The shop keeps people ${years === 1 ? 'a year' : `${years} years`} after their last ticket. These were not here since, and nothing of theirs is open.`,
  longNever: 'The shop keeps people for good: how long is said in its settings.',
  longNone: 'Nobody was away for so long.',
  last: (day: string) => `last ${day}`,
  look: 'Look',
  rules: 'People who come here',
  adultFrom: 'Of age from, years',
  adultFromHint:
    'Where the birth date is known. Younger ones have a guardian named; the law of the place says from when.',
  keepYears: 'Propose to erase after, years without a ticket',
  keepYearsHint: 'Empty: nobody is proposed. Keep what the law of the place asks to be kept.',
  take: 'From an archer’s file',
  taking: 'Reading the file …',
  takeTooLarge: (mb: number) => `The file has ${mb} MB; an archer’s file has at most 60.`,
} as const;
