import { aimTrace } from '@/server/aims';
import { answer, otherMethods } from '@/server/http';

type Params = { params: Promise<{ id: string; shot: string }> };

/** The whole trace of one aimed shot. */
export const GET = (_: Request, { params }: Params) =>
  answer(async () => {
    const { id, shot } = await params;
    return aimTrace(id, shot);
  });

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
