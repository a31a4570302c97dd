import { byOf } from '@/server/access/asker';
import { answer, otherMethods, readJson } from '@/server/http';
import { changeShopBy } from '@/server/shop';

/** Some of the settings; the others stay as they are. */
export const PATCH = (request: Request) =>
  answer(async () => changeShopBy(byOf(request), await readJson(request)));

export const { GET, POST, PUT, DELETE } = otherMethods('PATCH');
