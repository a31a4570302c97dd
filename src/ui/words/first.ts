import { pages } from './pages';

/** Words of the guided opening and of the hints in the first job. */
export const firstWords = {
  title: pages.first,
  steps: 'Parts of the opening',
  done: 'seen',
  next: 'Next',
  back: 'Back',
  skip: 'End the guide',
  skipHint: 'Everything stands in the shop settings too.',
  open: 'The shop is being opened',
  goOn: (seen: number, of: number) => `${seen} of ${of} parts: go on`,
  says: {
    shop: 'Name and address stand on quotes and build sheets. The time zone decides what day it is here.',
    units: 'How numbers are written here; typed they may be in any unit.',
    money: 'What a quote is made by. Prices hold the tax already.',
    people: 'Everybody signs in with a PIN of their own; what somebody may do is their role.',
    hours: 'At what work is done, and when. The calendar plans nobody outside these hours.',
    schools: 'How it is done here. One job may do it otherwise.',
    stock: 'Take in your own bows and parts as files, or learn with a sample first.',
    job: 'Open a first job: a name is enough. At each stage a hint says what it is for; it is gone once you have seen it.',
  },
  ownFiles: 'Your own stock',
  bowsFile: 'Bows, from a file or one by one',
  partsFile: 'Parts, from files or a supplier’s list',
  sample: 'A sample to learn with',
  sampleSays:
    'A dozen invented bows and parts for every place. They are marked, and go again in one go.',
  sampleTag: 'sample',
  sampleIn: 'Put the sample in',
  sampleOut: 'Take the sample off',
  sampleHere: (bows: number, parts: number) =>
    `Of the sample ${bows} bows and ${parts} parts stand here.`,
  sampleLeft: (count: number) =>
    `Taken off; ${count} stay, since jobs speak of them. They go once those jobs name others.`,
  newJob: 'Open the first job',
  hint: 'First time here',
  hintSeen: 'Seen',
} as const;
