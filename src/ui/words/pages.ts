/** Names of the shop's pages: in the tab, over the page, and where one leads to it. */
export const pages = {
  shop: 'Shop settings',
  bows: 'Bows of the shop',
  parts: 'Parts of the shop',
  steps: 'Steps of the bench',
  people: 'People and tablets',
  done: 'What was done',
  signIn: 'Sign in',
  open: 'Open a shop',
  first: 'Opening the shop',
  delivered: 'Bows that left',
  code: 'Read a card or sheet',
  archers: 'What is known of a person',
} as const;

/** What is done with a file wherever the shop takes one in or gives one out. */
export const files = {
  save: 'Save as a file',
  choose: 'Choose a file',
  refuseAll: 'Refuse the whole file',
  seeMarked: 'Not saved: see the marked fields.',
} as const;
