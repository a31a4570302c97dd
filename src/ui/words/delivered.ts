/** Words of the page of delivered bows. */
export const deliveredWords = {
  lead: (count: number) =>
    `${count === 1 ? 'One bow has' : `${count.toLocaleString('en')} bows have`} left the shop, the newest first. Press / to find one by archer, telephone, ticket or the bow’s number.`,
  link: 'All delivered bows',
  newer: 'Newer',
  older: 'Older',
  page: (page: number, pages: number) => `Page ${page} of ${pages.toLocaleString('en')}`,
  none: 'No bow has left the shop yet.',
  nameless: 'no name',
  heads: ['Ticket', 'Archer', 'Bow', 'Delivered', 'Second visit'],
} as const;
