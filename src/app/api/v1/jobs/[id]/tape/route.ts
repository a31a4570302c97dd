import { answerFile, otherMethods } from '@/server/http';
import { heavy } from '@/server/heavy';

type Params = { params: Promise<{ id: string }> };

/** The job's sight tape, true to size: ?format=pdf (usual) or svg, and the rest of the wishes. */
export const GET = (request: Request, { params }: Params) =>
  answerFile(async () => ({
    ...(await heavy('tape', (await params).id, new URL(request.url).search)),
    inline: true,
  }));

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
