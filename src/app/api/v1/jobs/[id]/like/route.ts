import { blockPdf } from '@/server/block-route';
import { otherMethods } from '@/server/http';

/** Both bows on one page as PDF. */
export const GET = blockPdf('twinPdf', 'two-bows');

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
