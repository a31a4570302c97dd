import { askerOf } from '@/server/access/asker';
import { doorOf, signIn, signOut } from '@/server/access/sessions';
import { answerSigned } from '@/server/access/signed';
import { answer, otherMethods, readJson } from '@/server/http';

/** Who may sign in at this browser, and who is. */
export const GET = (request: Request) => answer(() => doorOf(askerOf(request)));

/** Somebody signs in; whoever was there is signed out. */
export const POST = (request: Request) =>
  answerSigned(askerOf(request).secured, async () =>
    signIn(askerOf(request), await readJson(request)),
  );

/** Somebody is still at the tablet. */
export const PUT = (request: Request) =>
  answer(() => ({ name: askerOf(request).by?.name ?? null }));

/** Locks the tablet. */
export const DELETE = (request: Request) =>
  answerSigned(askerOf(request).secured, () => Promise.resolve(signOut(askerOf(request))));

export const { PATCH } = otherMethods('GET', 'POST', 'PUT', 'DELETE');
