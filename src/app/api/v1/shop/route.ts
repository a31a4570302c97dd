import { answer, otherMethods, readJson } from '@/server/http';
import { saveShop } from '@/server/shop';

export const PUT = (request: Request) => answer(async () => saveShop(await readJson(request)));

export const { GET, POST, PATCH, DELETE } = otherMethods('PUT');
