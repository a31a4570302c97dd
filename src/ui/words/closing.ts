/** Words of a ticket that came to nothing. */
export const closingWords = {
  ask: 'This ticket came to nothing …',
  close: 'This ticket came to nothing',
  closeText:
    'Bow and parts of the shop lie on the shelf again, and no list asks for it any more. It is still found, and can be opened again. Why?',
  action: 'Close the ticket',
  hint: 'It stands on the closed ticket, with your name.',
  closed: 'This ticket is closed.',
  since: (when: string, who: string, why: string) =>
    `${why === '' ? '' : `${why}. `}${when}, ${who}.`,
  again: 'Open it again, as it stood',
  againBare: 'Open it without bow and parts',
  againSays: 'Nothing is entered until it is open again.',
};
