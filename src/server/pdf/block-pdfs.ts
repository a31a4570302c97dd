import type { PaperSize } from '@/core/flight';
import { homePage } from '@/core/elsewhere';
import { derive, type JobSnapshot } from '@/core/job';
import type { SheetBlock } from '@/core/sheet';
import { twinPage } from '@/core/twin';
import { Problem } from '../problem';
import { BlockWriter, feet, MARGIN } from './block-writer';
import { finished, newPaper } from './paper';

interface Printed {
  readonly title: string;
  readonly beside: string;
  readonly words: readonly string[];
  readonly blocks: readonly SheetBlock[];
}

/** Tables of a job on paper: what their page shows. */
function printed({ archer, shop }: JobSnapshot, paper: PaperSize, page: Printed) {
  const title = `${page.title} · ${archer.name}`;
  const doc = newPaper(paper, title, MARGIN);
  const writer = new BlockWriter(doc, page.beside);
  writer.title(`${page.title}: ${archer.name}`);
  page.words.forEach((words) => writer.words(words));
  page.blocks.forEach((block) => writer.block(block));
  feet(doc, `${shop.name} · ${title}`);
  return finished(doc);
}

/** Both bows, of one made like another. */
export function twinPdf(snapshot: JobSnapshot, paper: PaperSize) {
  const page = twinPage(snapshot, derive(snapshot));
  if (!page)
    throw new Problem(422, 'no-model', 'There is no second bow', {
      detail: 'This bow is made like no other one: choose a model first.',
    });
  return printed(snapshot, paper, {
    ...page,
    beside: page.count,
    words: [`Here: ${page.bows[0]}`, `Model: ${page.bows[1]}`],
  });
}

/** What the archer does at home of the work on a bow they brought along. */
export function homePdf(snapshot: JobSnapshot, paper: PaperSize) {
  const page = homePage(snapshot, derive(snapshot));
  if (!page)
    throw new Problem(422, 'nothing-at-home', 'There is nothing to do at home', {
      detail: 'No step was left out of the shop’s work.',
    });
  return printed(snapshot, paper, {
    ...page,
    beside: [snapshot.shop.name, snapshot.shop.phone].filter(Boolean).join(', '),
    words: [page.bow],
  });
}
