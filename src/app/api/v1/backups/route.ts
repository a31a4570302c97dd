import { backUp, backupState } from '@/server/backups';
import { answer, otherMethods } from '@/server/http';

/** How old the newest backup is, and where it lies. */
export const GET = () => answer(() => backupState());

/** Makes one now. */
export const POST = () => answer(() => backUp(), 201);

export const { PUT, PATCH, DELETE } = otherMethods('GET', 'POST');
