import { byOf } from '@/server/access/asker';
import { changePerson } from '@/server/access/manage';
import { answer, otherMethods, readJson } from '@/server/http';

type Params = { params: Promise<{ person: string }> };

/** Another name, role or PIN, or the end of somebody’s work here. */
export const PATCH = (request: Request, { params }: Params) =>
  answer(async () => changePerson(byOf(request), (await params).person, await readJson(request)));

export const { GET, POST, PUT, DELETE } = otherMethods('PATCH');
