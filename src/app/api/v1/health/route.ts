import { health } from '@/server/health';
import { answer, otherMethods } from '@/server/http';

/** 200 while the shop’s file can be read and written, else 503 with what is wrong. */
export const GET = () => answer(() => health());

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
