import { askShop } from '../keep/ask-shop';
import { archerWords as w, frame } from '../words';

/** As the server takes them. */
const MOST_MB = 60;

interface Answer {
  readonly jobs: readonly { readonly jobId: string }[];
  readonly detail?: string;
  readonly title?: string;
}

/** Hands in an archer's file of another shop; the first job it opened, or why it was not taken. */
export async function takeInArcher(
  file: File,
): Promise<{ readonly jobId: string } | { readonly trouble: string }> {
  if (file.size > MOST_MB * 1e6) return { trouble: w.takeTooLarge(Math.round(file.size / 1e6)) };
  try {
    const response = await askShop('/api/v1/archers', {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      body: file,
    });
    const answer = (await response.json()) as Answer;
    if (response.ok) return { jobId: answer.jobs[0]!.jobId };
    return { trouble: answer.detail ?? answer.title ?? frame.notSaved };
  } catch {
    return { trouble: frame.notSaved };
  }
}
