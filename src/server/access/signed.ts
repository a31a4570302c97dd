import { answer } from '../http';
import { KNOWN, SESSION } from './identify';
import type { Kept } from './sessions';

const YEAR_S = 31_536_000;

const cookie = (name: string, value: string | null, secured: boolean): string =>
  [
    `${name}=${value ?? ''}`,
    'Path=/',
    `Max-Age=${value === null ? 0 : YEAR_S}`,
    'HttpOnly',
    'SameSite=Strict',
    ...(secured ? ['Secure'] : []),
  ].join('; ');

/** Answers, and tells the browser what to keep of it. */
export async function answerSigned(
  secured: boolean,
  run: () => Promise<{ readonly body: unknown; readonly kept: Kept }>,
): Promise<Response> {
  let kept: Kept = {};
  const response = await answer(async () => {
    const signed = await run();
    kept = signed.kept;
    return signed.body;
  });
  if (kept.known !== undefined)
    response.headers.append('set-cookie', cookie(KNOWN, kept.known, secured));
  if (kept.session !== undefined)
    response.headers.append('set-cookie', cookie(SESSION, kept.session, secured));
  return response;
}
