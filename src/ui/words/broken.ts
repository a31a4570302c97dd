/** What a page says that could not be drawn. */
export const broken = {
  title: 'Something broke here',
  text: 'Nothing that was saved is lost. Try again; if it happens twice, restart the program.',
  again: 'Try again',
  job: 'This job cannot be shown',
  jobText:
    'The other jobs are not touched by it, and nothing that was saved is lost. Try again; if it stays like this its record is damaged: bring it back from a backup (npm run restore).',
  opensByItself: 'This page opens by itself once that is done.',
};
