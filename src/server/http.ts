import { unseenIn } from '@/contracts/plain-text';
import { invalid, Problem } from './problem';
import { sicknessOf, sickProblem } from './sick';

const json = (body: unknown, status: number, type: string) =>
  new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': type, 'cache-control': 'no-store' },
  });

/** Runs a handler and turns its outcome, problem or fault into a response. */
export async function answer(
  run: () => unknown | Promise<unknown>,
  status = 200,
): Promise<Response> {
  try {
    return json(await run(), status, 'application/json');
  } catch (error) {
    if (error instanceof Problem) {
      return json(error.body(), error.status, 'application/problem+json');
    }
    console.error(error);
    const sick = sicknessOf(error);
    if (sick) {
      const problem = sickProblem(sick);
      return json(problem.body(), problem.status, 'application/problem+json');
    }
    const fault = new Problem(500, 'fault', 'Something broke here', {
      detail: 'The entry was not saved. Try again; if it happens twice, restart the program.',
    });
    return json(fault.body(), 500, 'application/problem+json');
  }
}

/** A file that is answered. */
interface FileAnswer {
  readonly body: string | Uint8Array;
  readonly type: string;
  readonly name: string;
  /** Shown in the page, not only kept. */
  readonly inline?: boolean;
  /** Never another at this address: the browser may keep it. */
  readonly keeps?: boolean;
}

/** Runs what makes a file and answers with it, or with the problem that kept it from being made. */
export async function answerFile(run: () => FileAnswer | Promise<FileAnswer>): Promise<Response> {
  let file: FileAnswer | null = null;
  const problem = await answer(async () => {
    file = await run();
  });
  if (!file) return problem;
  const { body, type, name, inline, keeps } = file as FileAnswer;
  return new Response(typeof body === 'string' ? body : new Uint8Array(body), {
    headers: {
      'content-type': type,
      'cache-control': keeps ? 'private, max-age=31536000, immutable' : 'no-store',
      'content-disposition': `${inline ? 'inline' : 'attachment'}; filename="${name}"`,
    },
  });
}

export const CSV = 'text/csv; charset=utf-8';

/** What a body may hold where an address does not say otherwise. */
const MOST_BYTES = 1_000_000;

const tooLarge = (most: number) =>
  new Problem(413, 'too-large', 'The body is too large', {
    detail: `At most ${Math.round(most / 1e6)} MB.`,
  });

/**
 * The body's bytes, read piece by piece: one that says it is too large is not read at all, one that
 * grows too large no further.
 */
export async function readBytes(request: Request, most: number): Promise<Uint8Array> {
  const said = Number(request.headers.get('content-length') ?? 0);
  if (said > most) throw tooLarge(most);
  const pieces: Uint8Array[] = [];
  let bytes = 0;
  const reader = request.body?.getReader();
  for (let read = await reader?.read(); reader && read && !read.done; read = await reader.read()) {
    bytes += read.value.byteLength;
    if (bytes > most) {
      // What still comes is of no interest; whoever sends it may be gone already.
      await reader.cancel().catch(() => undefined);
      throw tooLarge(most);
    }
    pieces.push(read.value);
  }
  return Buffer.concat(pieces);
}

async function readText(request: Request): Promise<string> {
  const bytes = await readBytes(request, MOST_BYTES);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw new Problem(400, 'not-utf-8', 'The body is not UTF-8', {
      detail: 'Send text as UTF-8; a file in another encoding is read on the page that takes it.',
      errors: [{ pointer: '', detail: 'is not UTF-8' }],
    });
  }
}

/** The body as JSON; too large, of another encoding or malformed is a problem, not a fault. */
export async function readJson(request: Request): Promise<unknown> {
  const text = await readText(request);
  const value = parsed(text);
  const pointer = unseenIn(value);
  if (pointer !== null)
    throw invalid([{ pointer, detail: 'holds a sign that cannot be seen: type it again' }]);
  return value;
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw new Problem(400, 'malformed-json', 'The body is not JSON', {
      detail: 'Send JSON, with the header content-type: application/json.',
      errors: [{ pointer: '', detail: 'is not JSON' }],
    });
  }
}

const METHODS = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'] as const;
type Method = (typeof METHODS)[number];

/** What an address does not do, with what it does: 405, `Allow` and the reason. */
export function otherMethods(...allowed: readonly Method[]): Record<Method, () => Response> {
  const allow = allowed.join(', ');
  const refuse = () => {
    const problem = new Problem(405, 'method-not-allowed', 'This address does not do that', {
      detail: `This address answers ${allow}.`,
    });
    return new Response(JSON.stringify(problem.body()), {
      status: 405,
      headers: {
        'content-type': 'application/problem+json',
        'cache-control': 'no-store',
        allow,
      },
    });
  };
  return Object.fromEntries(METHODS.map((method) => [method, refuse])) as never;
}
