import { existsSync, statSync } from 'node:fs';
import { createInterface } from 'node:readline/promises';

const ways = (path: string) =>
  `Open a new shop there: npm start -- --new. Put a backup there: npm run restore. Or name another file in WAFFENRAD_DB (now ${path}).`;

/**
 * Whether the shop’s file may be opened. A new shop is never made by itself: a mistyped name, or a disk
 * that was not there, would show an empty shop. Where somebody sits at the machine it is asked, else
 * the program says what to do and ends. A file that is sick is opened: the screen says so.
 *
 * @param asks puts the question; null where nobody is there to answer.
 * @returns why not; null where it may.
 */
export async function mayOpen(
  path: string,
  wantsNew: boolean,
  asks: ((question: string) => Promise<string>) | null = process.stdin.isTTY ? ask : null,
): Promise<string | null> {
  const missing = !existsSync(path);
  if (!missing && statSync(path).isDirectory())
    return `${path} is a folder, not a shop’s file. ${ways(path)}`;
  if (!missing && statSync(path).size > 0)
    return wantsNew
      ? `There is a file at ${path} already; a new shop needs a name that is free. ${ways(path)}`
      : null;
  if (wantsNew) return null;
  const what = missing ? `There is no shop at ${path}.` : `The file at ${path} is empty.`;
  if (asks) {
    const said = await asks(
      `${what}\nType “new” to open a new shop there, anything else to stop: `,
    );
    if (said.trim() === 'new') return null;
  }
  return `${what} ${ways(path)}`;
}

async function ask(question: string): Promise<string> {
  const asking = createInterface({ input: process.stdin, output: process.stdout });
  const said = await asking.question(question);
  asking.close();
  return said;
}
