import { answer, otherMethods } from '@/server/http';
import { openApi } from '@/server/openapi';

export const dynamic = 'force-dynamic';
export const GET = () => answer(openApi);

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
