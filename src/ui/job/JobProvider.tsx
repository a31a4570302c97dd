'use client';
import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import type { Command } from '@/contracts/commands';
import {
  derive,
  stageStates,
  type JobDerived,
  type JobEvent,
  type JobSnapshot,
  type StageState,
} from '@/core/job';
import { mayWait } from '@/core/entries';
import { STAGES } from '@/core/setup';
import { useAsk } from '../frame/useAsk';
import { frame, orderFate, waitingWords as w } from '../words';
import { isConnected } from '../keep/connection';
import { entryKey } from '../keep/new-key';
import { waitingNow } from '../keep/outbox';
import { post, type Trouble } from '../keep/post';
import { actedAt, DOUBLE_TAP_MS } from '../pieces/acted-at';
import { askShop } from '../keep/ask-shop';
import { useWaitingEntries, withoutWaiting } from './useWaitingEntries';

interface JobValue {
  /** As last saved, with what waits for the connection. */
  readonly snapshot: JobSnapshot;
  readonly derived: JobDerived;
  readonly states: readonly StageState[];
  /** Sends one entry; null when it is saved. Entries go one after another, never two at once. */
  readonly send: (command: Command) => Promise<Trouble | null>;
  readonly sending: boolean;
  /** The job once every entry on its way is answered. */
  readonly settled: () => Promise<JobSnapshot>;
  /** Why the newest entry was not taken; null once one is. */
  readonly trouble: string | null;
  /** What another screen changed while an entry of this one was refused. */
  readonly conflict: readonly JobEvent[] | null;
  readonly clearConflict: () => void;
}

const JobContext = createContext<JobValue | null>(null);

export function useJob(): JobValue {
  const value = useContext(JobContext);
  if (!value) throw new Error('useJob() is used outside of <JobProvider>');
  return value;
}

/** The stage in the address: an entry belongs to where it was made. */
const stageShown = () =>
  STAGES.find(({ id }) => window.location.pathname.endsWith(`/${id}`))?.id ?? null;

const OFTEN: readonly Command['name'][] = ['undo', 'redo'];

const IS_ORDERED = 'is-ordered';
const isOrdered = ({ type }: { readonly type?: unknown }) => String(type).endsWith(IS_ORDERED);

interface Sent {
  readonly text: string;
  readonly at: number;
  readonly result: Promise<Trouble | null>;
}

/** The archer is the same in all their jobs: what this screen saw of them goes along with new answers. */
function withSeen(command: Command, { archer }: JobSnapshot): Command {
  if (command.name !== 'setAnswers' || !command.archer) return command;
  const fields = Object.keys(command.archer) as (keyof typeof command.archer)[];
  const seen = Object.fromEntries(fields.map((field) => [field, archer[field]]));
  return { ...command, seen };
}

const ASK_EVERY_MS = 1000;
/** A wireless that is gone says nothing: after so long an entry is kept here and sent again. */
const PATIENT = { patienceMs: 8000 };

/** Asks, until there is an answer, whether an entry was kept whose own answer was lost. */
async function wasKept(url: string): Promise<boolean> {
  for (;;) {
    await new Promise((resolve) => setTimeout(resolve, ASK_EVERY_MS));
    const response = await askShop(url).catch(() => null);
    if (response?.ok) return ((await response.json()) as { saved: boolean }).saved;
    // Answered, but not for this: a job that is no more was not kept either. A locked tablet is asked again.
    if (response && response.status < 500 && response.status !== 401) return false;
  }
}

const snapshotOf = (jobId: string): Promise<JobSnapshot | null> =>
  askShop(`/api/v1/jobs/${jobId}`)
    .then((response) => (response.ok ? (response.json() as Promise<JobSnapshot>) : null))
    .catch(() => null);

/** Holds the job as last saved; everything on the screens is computed from it by the core. */
export function JobProvider({ initial, children }: { initial: JobSnapshot; children: ReactNode }) {
  const [snapshot, setSnapshot] = useState(initial);
  const [pending, setPending] = useState(0);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [conflict, setConflict] = useState<readonly JobEvent[] | null>(null);
  const newest = useRef(initial);
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const jobId = initial.job.id;

  const take = useCallback((next: JobSnapshot) => {
    if (next.job.version < newest.current.job.version) return;
    newest.current = next;
    setSnapshot(next);
  }, []);

  // The page was asked for anew, as when somebody unlocks the tablet: others may have worked on it meanwhile.
  useEffect(() => take(initial), [initial, take]);

  const { shown, shownNow, aside, takesOut } = useWaitingEntries(snapshot, newest, take);
  const putAside = useCallback(
    async (sending: Parameters<typeof aside>[0]): Promise<Trouble | null> => {
      const trouble = await aside(sending);
      setTrouble(trouble ? trouble.message : null);
      return trouble;
    },
    [aside],
  );

  const sendNow = useCallback(
    async (command: Command): Promise<Trouble | null> => {
      if (await takesOut(command)) {
        setTrouble(null);
        return null;
      }
      const stage = stageShown();
      const key = entryKey();
      const seen = withSeen(await withoutWaiting(command), shownNow());
      const sending = { command: seen, key, stage };
      const waits = mayWait(command.name);
      // Behind what waits everything waits: entries of a job keep their order.
      const behind = waitingNow().some((entry) => entry.jobId === jobId);
      if (waits && (behind || !isConnected())) return putAside(sending);
      if (behind || !isConnected()) {
        const message = behind ? w.firstThose : w.needsShop;
        setTrouble(message);
        return { message, pointer: '' };
      }
      const body = {
        version: newest.current.job.version,
        ...(stage ? { stage } : {}),
        key,
        command: seen,
      };
      const url = `/api/v1/jobs/${jobId}/commands`;
      const answer = await post<JobSnapshot>(url, body, 'POST', waits ? PATIENT : {});
      // With the same key: should it have been kept and only the answer lost, it counts once.
      if (!answer.ok && answer.status === 0 && waits) return putAside({ ...sending, tried: true });
      if (!answer.ok && answer.status === 0) {
        // It may have been kept and only the answer lost: asked as soon as the program answers again.
        setTrouble(frame.lost);
        const kept = await wasKept(`${url}?key=${encodeURIComponent(key)}`);
        const now = kept ? await snapshotOf(jobId) : null;
        if (now) take(now);
        setTrouble(kept ? null : frame.lostNotSaved);
        return kept ? null : { message: frame.lostNotSaved, pointer: '' };
      }
      if (answer.ok) {
        take(answer.body);
        setTrouble(null);
        return null;
      }
      if (answer.status === 409) {
        take(answer.problem.snapshot as JobSnapshot);
        setConflict(answer.problem.changed as JobEvent[]);
      } else if (!isOrdered(answer.problem)) setTrouble(answer.message);
      const reason = String(answer.problem.type ?? '').replace(/^.*:/, '');
      return { message: answer.message, pointer: answer.pointer, reason };
    },
    [jobId, take, takesOut, shownNow, putAside],
  );

  const { ask, asking } = useAsk();
  /** What was given up is ordered and on its way: what becomes of it is asked, then it is done. */
  const askFate = useCallback(
    async (command: Command, trouble: Trouble): Promise<Trouble | null> => {
      const ordered = await ask({
        title: orderFate.title,
        text: trouble.message,
        answers: [
          { id: 'keep', name: orderFate.keep },
          { id: 'calledOff', name: orderFate.calledOff },
        ],
      });
      if (ordered === null) return { ...trouble, message: orderFate.stays };
      return queue.current.then(() => sendNow({ ...command, ordered } as Command));
    },
    [ask, sendNow],
  );

  const before = useRef<Sent | null>(null);
  const send = useCallback(
    (command: Command) => {
      // A double tap is one entry; undo and redo are meant as often as they are pressed.
      const text = JSON.stringify(command);
      const at = actedAt();
      const twice = before.current?.text === text && at - before.current.at < DOUBLE_TAP_MS;
      if (twice && !OFTEN.includes(command.name)) return before.current!.result;
      setPending((n) => n + 1);
      const sent = queue.current.then(() => sendNow(command));
      queue.current = sent.finally(() => setPending((n) => n - 1));
      const result = sent.then((answer) =>
        answer?.reason === IS_ORDERED ? askFate(command, answer) : answer,
      );
      before.current = { text, at, result };
      return result;
    },
    [askFate, sendNow],
  );

  useRefresh(jobId, take);
  const derived = useMemo(() => derive(shown), [shown]);
  const states = useMemo(() => stageStates(shown, derived), [shown, derived]);
  const clearConflict = useCallback(() => setConflict(null), []);
  const settled = useCallback(() => queue.current.then(shownNow), [shownNow]);
  const value = useMemo(
    () => ({
      snapshot: shown,
      derived,
      states,
      send,
      sending: pending > 0,
      settled,
      trouble,
      conflict,
      clearConflict,
    }),
    [shown, derived, states, send, pending, settled, trouble, conflict, clearConflict],
  );
  return (
    <JobContext value={value}>
      {children}
      {asking}
    </JobContext>
  );
}

/** Another tablet may have worked on the job: looked at when this one is picked up again. */
function useRefresh(jobId: string, take: (next: JobSnapshot) => void): void {
  useEffect(() => {
    const look = () => {
      if (document.visibilityState !== 'visible') return;
      void snapshotOf(jobId).then((next) => next && take(next));
    };
    look();
    window.addEventListener('focus', look);
    document.addEventListener('visibilitychange', look);
    return () => {
      window.removeEventListener('focus', look);
      document.removeEventListener('visibilitychange', look);
    };
  }, [jobId, take]);
}
