import { blockPdf } from '@/server/block-route';
import { otherMethods } from '@/server/http';

/** What the archer does at home as PDF. */
export const GET = blockPdf('homePdf', 'at-home');

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
