const bows = (count: number) => (count === 1 ? 'One bow' : `${count.toLocaleString('en')} bows`);

/** Words of the register of bows that left. */
export const deliveredWords = {
  lead: (show: string, count: number, what: string) =>
    show === 'due'
      ? `${bows(count)} to be looked at by now, the longest waiting first.`
      : show === 'part'
        ? `${bows(count)} with ${what}, on the archer’s bow or in a built arrow.`
        : show === 'bow'
          ? `${bows(count)} of the kind ${what}.`
          : show === 'found'
            ? `${bows(count)} that left answer to “${what}”.`
            : `${bows(count)} ${count === 1 ? 'has' : 'have'} left the shop, the newest first.`,
  link: 'All delivered bows',
  due: 'Due for a look',
  find: 'Archer, telephone, ticket, number of the bow, or a part',
  findHint: 'A part shows every bow that left with it, for a recall',
  look: 'Look',
  code: 'By the code of a card',
  withPart: (name: string, count: number) => `${name}: on ${bows(count).toLowerCase()}`,
  newer: 'Newer',
  older: 'Older',
  page: (page: number, pages: number) => `Page ${page} of ${pages.toLocaleString('en')}`,
  none: {
    all: 'No bow has left the shop yet. A handed-over bow stands here with its sheets.',
    due: 'No bow is due for a look today.',
    part: 'No bow that left has this part.',
    bow: 'No bow of this kind has left.',
    found: 'No bow that left answers to it. One that is still here is found with /.',
  } as Readonly<Record<string, string>>,
  nameless: 'no name',
  noBow: 'not in the list any more',
  guardian: (name: string) => `guardian ${name}`,
  serial: (serial: string) => `no. ${serial}`,
  sheets: (sheets: number, visits: number) =>
    [
      `${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}`,
      ...(visits > 0 ? [`${visits} ${visits === 1 ? 'visit' : 'visits'}`] : []),
    ].join(', '),
  cannotTell: 'not known',
  inShop: 'in the shop',
  isDue: 'due',
  withThisPart: 'Bows that left with it',
  ofThisKind: 'Bows of this kind that left',
  heads: ['Ticket', 'Archer', 'Bow', 'Left', 'String since', 'Shots told', 'Next look'],
} as const;
