import { answer, otherMethods, readJson } from '@/server/http';
import { fetchSupplierList } from '@/server/part-imports';

/** Fetches a supplier's price list and says what it would change. */
export const POST = (request: Request) =>
  answer(async () => fetchSupplierList(await readJson(request)));

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
