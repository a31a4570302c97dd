/** Words of the shop's settings. */
export const shopWords = {
  title: 'Shop settings',
  lead: 'Counted for every job from now on. Readings stay as they were typed.',
  name: 'Name of the shop',
  address: 'Address',
  timeZone: 'Time zone',
  people: 'People who work here',
  peopleHint: 'One name a line.',
  units: 'How numbers are written',
  length: 'Lengths',
  lengths: [
    { id: 'in16', name: 'inches, 1/16' },
    { id: 'in32', name: 'inches, 1/32' },
    { id: 'mm', name: 'millimetres' },
  ],
  force: 'Weights drawn',
  forces: [
    { id: 'lb', name: 'pounds' },
    { id: 'N', name: 'newtons' },
  ],
  mass: 'Masses',
  masses: [
    { id: 'gr', name: 'grains' },
    { id: 'g', name: 'grams' },
  ],
  speed: 'Speeds',
  speeds: [
    { id: 'fps', name: 'feet a second' },
    { id: 'm/s', name: 'metres a second' },
  ],
  distance: 'Distances',
  distances: [
    { id: 'm', name: 'metres' },
    { id: 'yd', name: 'yards' },
  ],
  schools: 'School',
  loop: 'Arm span and the loop',
  loops: [
    { id: 'no', name: 'span ÷ 2.5' },
    { id: 'yes', name: 'loop counts: half an inch less' },
  ],
  save: 'Save',
  saved: 'Saved.',
  back: 'Back to today',
} as const;
