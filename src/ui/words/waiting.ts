const entries = (count: number, one: string, more: string) =>
  count === 1 ? `1 entry ${one}` : `${count} entries ${more}`;

/** Words of what was entered without a connection and is not saved yet. */
export const waitingWords = {
  lost: (count: number) =>
    count === 0 ? 'not connected' : `not connected, ${entries(count, 'waits', 'wait')}`,
  /** On a telephone. */
  short: (count: number) => (count === 1 ? '1 waits' : `${count} wait`),
  sending: (count: number) => `${entries(count, 'is', 'are')} being sent`,
  asks: (count: number) => entries(count, 'asks', 'ask'),
  title: 'What waits',
  none: 'Nothing waits. What is entered without a connection is kept in this tablet and sent, in its order, when the shop’s program answers again.',
  leadLost:
    'The shop’s program does not answer. What is entered is kept in this tablet and sent, in its order, when it does. Nothing of it is saved yet.',
  leadSending: 'The shop’s program answers again: these are being sent, in their order.',
  leadAsks:
    'The shop’s program did not take an entry. What comes after it on the same bow waits until it is answered.',
  list: 'Entries that wait',
  by: (who: string, when: string) => `${who}, ${when}`,
  unwanted: (summary: string) =>
    `${summary}: taken back, as soon as it is known whether it was saved`,
  takeOut: 'Take it out',
  takeOutAsk: 'Take it out?',
  takeOutText: (summary: string) =>
    `“${summary}” was not saved. Taken out it is gone from this tablet.`,
  leave: 'Leave it',
  meetHere: 'here',
  mine: 'The one from here counts',
  theirs: 'Theirs counts, both stay',
  theirAnswer: 'Theirs counts',
  now: 'Enter it now all the same',
  asMine: (who: string) => `Enter it in the name of ${who}`,
  again: 'Send it again',
  needsShop:
    'Not connected: this needs the shop’s program, since it rests on what others do there. What you typed stands here.',
  firstThose: 'Entries of this job wait to be sent: this comes after them.',
  historyKnown: 'Not connected: the newest entries, as this tablet knows them.',
  notSent: 'not sent yet',
  waits: 'Waits:',
  answers: (fields: readonly string[]) =>
    `Answered: ${fields.map((field) => field.replace(/[A-Z]/g, (sign) => ` ${sign.toLowerCase()}`)).join(', ')}`,
  kinds: {
    acknowledge: 'Caution told and understood',
    signStep: 'Signed off',
  } as Readonly<Record<string, string>>,
} as const;
