import { createHash, randomBytes, randomInt } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';

/** argon2id with the package's figures of 2026 (19 MB, two rounds): some 30 ms in a thread beside ours. */
export const hashSecret = (secret: string): Promise<string> => hash(secret.normalize('NFC'));

/** A hash nobody's secret has: whoever has none is answered as slowly as whoever has one. */
let nobodys: Promise<string> | null = null;

/** Whether it is the secret that was kept so; never where none was kept. */
export async function isSecret(kept: string | null, secret: string): Promise<boolean> {
  nobodys ??= hash(randomBytes(16).toString('hex'));
  const right = await verify(kept ?? (await nobodys), secret.normalize('NFC'));
  return kept !== null && right;
}

/** What a long token is kept as: it is no word anybody could guess, so one round is enough. */
export const digest = (token: string): string => createHash('sha256').update(token).digest('hex');

export const newToken = (): string => randomBytes(32).toString('base64url');

/** Letters and digits nobody takes for one another. */
const CODE_SIGNS = 'ACDEFGHJKLMNPQRTUVWXY34679';

/** Eight signs in two groups: "KXPA-47RT". 26⁸ is 2·10¹¹, for ten minutes. */
export const newCode = (): string => {
  const sign = () => CODE_SIGNS[randomInt(CODE_SIGNS.length)]!;
  const four = () => Array.from({ length: 4 }, sign).join('');
  return `${four()}-${four()}`;
};

/** A code as it was typed: capitals or not, with blanks or a stroke or none. */
export const plainCode = (typed: string): string => typed.toUpperCase().replace(/[^A-Z0-9]/g, '');

/** What a session is told apart by where it lets nobody in; the token cannot be had from it. */
export const markOf = (token: string): string => digest(`mark of ${token}`);
