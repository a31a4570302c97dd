import { answerFile, otherMethods } from '@/server/http';
import { codeSvg } from '@/server/card';
import { notFound } from '@/server/problem';
import { wordOf } from '@/server/query';
import { loadSheet } from '@/server/sheets';
import { codeText } from '@/core/sheet';

type Params = { params: Promise<{ id: string; revision: string }> };

/** The code of a sheet: ?format=svg to be scanned, or text as it reads. */
export const GET = (request: Request, { params }: Params) =>
  answerFile(async () => {
    const { id, revision } = await params;
    const format = wordOf(new URL(request.url).searchParams, 'format', ['svg', 'text']);
    const sheet = loadSheet(id, revision);
    const body = format === 'svg' ? codeSvg(sheet) : codeText(sheet);
    if (body === null) throw notFound('code: the sheet has no bow');
    return {
      body,
      type: format === 'svg' ? 'image/svg+xml; charset=utf-8' : 'text/plain; charset=utf-8',
      name: `sheet-code-${sheet.job.number}-${sheet.revision}.${format === 'svg' ? 'svg' : 'txt'}`,
      inline: true,
    };
  });

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
