import { byOf } from '@/server/access/asker';
import { answer, otherMethods } from '@/server/http';
import { addSamples, dropSamples } from '@/server/samples';

/** Puts the sample catalogue in, marked. */
export const POST = (request: Request) => answer(() => addSamples(byOf(request)));

/** Takes it off in one go. */
export const DELETE = (request: Request) => answer(() => dropSamples(byOf(request)));

export const { GET, PUT, PATCH } = otherMethods('POST', 'DELETE');
