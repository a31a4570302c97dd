import { answer, otherMethods, readJson } from '@/server/http';
import { changeShop } from '@/server/shop';

/** Some of the settings; the others stay as they are. */
export const PATCH = (request: Request) => answer(async () => changeShop(await readJson(request)));

export const { GET, POST, PUT, DELETE } = otherMethods('PATCH');
