import { byOf } from '@/server/access/asker';
import { note } from '@/server/access/note';
import { nowIso } from '@/server/clock';
import { heavy } from '@/server/heavy';
import { answer, otherMethods } from '@/server/http';
import { sentOnce } from '@/server/whole-out';

/** Everything the shop holds, as one ZIP of open files (docs/formats/export.md). */
export async function GET(request: Request): Promise<Response> {
  let path = '';
  const at = nowIso();
  const problem = await answer(async () => {
    const by = byOf(request);
    path = await heavy('wholeFile', at);
    note(by, 'out', 'Everything taken out');
  });
  if (!path) return problem;
  const { body, bytes } = sentOnce(path);
  return new Response(body, {
    headers: {
      'content-type': 'application/zip',
      'content-length': String(bytes),
      'cache-control': 'no-store',
      'content-disposition': `attachment; filename="waffenrad-export-${at.slice(0, 10)}.zip"`,
    },
  });
}

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
