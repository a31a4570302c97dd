/** What a page says that could not be drawn. */
export const broken = {
  title: 'Something broke here',
  text: 'Nothing that was saved is lost. Try again; if it happens twice, restart the program.',
  again: 'Try again',
  opensByItself: 'This page opens by itself once that is done.',
};
