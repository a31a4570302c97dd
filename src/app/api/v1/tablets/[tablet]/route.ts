import { byOf } from '@/server/access/asker';
import { changeTablet, dismissTablet } from '@/server/access/manage';
import { answer, otherMethods, readJson } from '@/server/http';

type Params = { params: Promise<{ tablet: string }> };

export const PATCH = (request: Request, { params }: Params) =>
  answer(async () => changeTablet(byOf(request), (await params).tablet, await readJson(request)));

/** Sends it away: it is known no longer. */
export const DELETE = (request: Request, { params }: Params) =>
  answer(async () => dismissTablet(byOf(request), (await params).tablet));

export const { GET, POST, PUT } = otherMethods('PATCH', 'DELETE');
