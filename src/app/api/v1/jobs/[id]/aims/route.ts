import { aims } from '@/server/aims';
import { answer, otherMethods } from '@/server/http';

type Params = { params: Promise<{ id: string }> };

export const GET = (_: Request, { params }: Params) => answer(async () => aims((await params).id));

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
