import type { PaperSize } from '@/core/flight';
import { derive, type JobSnapshot } from '@/core/job';
import { twinPage } from '@/core/twin';
import { Problem } from '../problem';
import { BlockWriter, feet, MARGIN } from './block-writer';
import { finished, newPaper } from './paper';

/** Both bows on paper: what the page shows, from the same tables. */
export function twinPdf(snapshot: JobSnapshot, paper: PaperSize) {
  const page = twinPage(snapshot, derive(snapshot));
  if (!page)
    throw new Problem(422, 'no-model', 'There is no second bow', {
      detail: 'This bow is made like no other one: choose a model first.',
    });
  const { archer, shop } = snapshot;
  const title = `${page.title} · ${archer.name}`;
  const doc = newPaper(paper, title, MARGIN);
  const writer = new BlockWriter(doc, page.count);
  writer.title(`${page.title}: ${archer.name}`);
  writer.words(page.bows[0]);
  writer.words(page.bows[1]);
  page.blocks.forEach((block) => writer.block(block));
  feet(doc, `${shop.name} · ${title}`);
  return finished(doc);
}
