import { answer, otherMethods, readJson } from '@/server/http';
import { changeShop, saveShop } from '@/server/shop';

export const PUT = (request: Request) => answer(async () => saveShop(await readJson(request)));

/** Some of the settings; the others stay as they are. */
export const PATCH = (request: Request) => answer(async () => changeShop(await readJson(request)));

export const { GET, POST, DELETE } = otherMethods('PUT', 'PATCH');
