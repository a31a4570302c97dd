import { answer, otherMethods } from '@/server/http';
import { heavy } from '@/server/heavy';

/** Every part of one slot as CSV, in the format of docs/formats/parts.md. */
export async function GET(request: Request) {
  const kind = new URL(request.url).searchParams.get('kind');
  try {
    const { text, name } = await heavy('partsFile', kind);
    return new Response(text, {
      headers: {
        'content-type': 'text/csv; charset=utf-8',
        'content-disposition': `attachment; filename="${name}"`,
        'cache-control': 'no-store',
      },
    });
  } catch (error) {
    return answer(() => {
      throw error;
    });
  }
}

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
