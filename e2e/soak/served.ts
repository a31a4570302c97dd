import { ownPort, startServer } from '../../scripts/serve.cjs';

/** A server on a file for as long as something is done with it; then it is ended as by a power cut. */
export async function served<T>(
  db: string,
  env: Record<string, string>,
  work: (url: string, pid: number) => Promise<T>,
): Promise<T> {
  const { child, url } = await startServer({ port: await ownPort(), db, env });
  try {
    return await work(url, child.pid!);
  } finally {
    const gone = new Promise((done) => child.once('exit', done));
    child.kill('SIGKILL');
    await gone;
  }
}
