import { answer, otherMethods, readJson } from '@/server/http';
import { settleShelfOrder } from '@/server/orders';

type Params = { params: Promise<{ order: string }> };

/** An order for the shelf has come, or was called off. */
export const POST = (request: Request, { params }: Params) =>
  answer(async () => settleShelfOrder((await params).order, await readJson(request)));

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
