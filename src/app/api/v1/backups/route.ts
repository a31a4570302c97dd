import { byOf } from '@/server/access/asker';
import { note } from '@/server/access/note';
import { backUp, backupState } from '@/server/backups';
import { answer, otherMethods } from '@/server/http';

/** How old the newest backup is, and where it lies. */
export const GET = () => answer(() => backupState());

/** Makes one now. */
export const POST = (request: Request) =>
  answer(async () => {
    const by = byOf(request);
    const state = await backUp();
    note(by, 'out', `Backup made: ${state.newest?.name ?? ''}`);
    return state;
  }, 201);

export const { PUT, PATCH, DELETE } = otherMethods('GET', 'POST');
