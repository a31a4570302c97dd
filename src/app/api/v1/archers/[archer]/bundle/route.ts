import { byOf } from '@/server/access/asker';
import { note } from '@/server/access/note';
import { knownArcher } from '@/server/archers';
import { nowIso } from '@/server/clock';
import { heavy } from '@/server/heavy';
import { answerFile, otherMethods } from '@/server/http';

/** Everything known of one archer, as a ZIP of open files (docs/formats/archer.md). */
export const GET = (request: Request, { params }: { params: Promise<{ archer: string }> }) =>
  answerFile(async () => {
    const by = byOf(request);
    const { archer, jobs } = knownArcher((await params).archer);
    const body = await heavy('archerFile', archer.id, nowIso());
    const tickets = jobs.map(({ number }) => number).join(', ');
    note(by, 'out', `An archer’s file was taken out, tickets ${tickets}`);
    return { body, type: 'application/zip', name: `waffenrad-archer-${jobs[0]?.number ?? 0}.zip` };
  });

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
