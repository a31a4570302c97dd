import type { Ticket } from '@/core/job';
import { db, type Db } from '@/data/db';
import { deliveredCount, deliveredPage } from '@/data/job-heads';
import { shopSettings } from '@/data/settings';
import { deliveredTicket } from './today-view';
import { shopDay } from './clock';

const ON_A_PAGE = 50;

/** A page of the delivered bows, the newest first. */
interface DeliveredView {
  readonly rows: readonly (Ticket & { readonly deliveredDay: string })[];
  /** From 1. */
  readonly page: number;
  readonly pages: number;
  readonly count: number;
  readonly day: string;
}

/** @param asked as it stands in the address; what is no page is the first, past the last the last. */
export function deliveredView(asked: string | undefined, from: Db = db()): DeliveredView {
  const { timeZone } = shopSettings(from);
  const count = deliveredCount(from);
  const pages = Math.max(1, Math.ceil(count / ON_A_PAGE));
  const page = /^[1-9]\d{0,6}$/.test(asked ?? '') ? Math.min(pages, Number(asked)) : 1;
  return {
    rows: deliveredPage(from, ON_A_PAGE, (page - 1) * ON_A_PAGE).map((head) => ({
      ...deliveredTicket(head),
      deliveredDay: shopDay(timeZone, head.deliveredAt),
    })),
    page,
    pages,
    count,
    day: shopDay(timeZone),
  };
}
