'use client';
import { useEffect, useRef, useState } from 'react';
import Link from 'next/link';
import Button from '@mui/material/Button';
import Check from '@mui/icons-material/Check';
import {
  archerCautions,
  asked,
  conversation,
  nextQuestion,
  QUESTION_IDS,
  type Question,
  type QuestionId,
} from '@/core/job';
import { Text } from '../../pieces/Text';
import { Press } from '../../pieces/Press';
import { dayText } from '../../fields/dates';
import { useKeys } from '../../frame/useKeys';
import { useShell } from '../../frame/useShell';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { useStage } from '../../job/useStage';
import { archerWords, meet as w } from '../../words';
import { Work } from '../../job/Work';
import { Actions, Head, HeadEnd, Questions } from '../../pieces/layout';
import { Key, Note } from '../../pieces/texts';
import { useAnswer } from './answer';
import { Earlier } from './Earlier';
import { FIELDS } from './fields';
import { CloseTicket } from './CloseTicket';
import css from './MeetStage.module.css';

/** A conversation: one question after another, each with where its answer is used. */
export function MeetStage() {
  const { snapshot } = useJob();
  const { may } = useShell();
  const questions = conversation(snapshot);
  const { at, href } = useStage();
  // The open question stays open while it is answered; only Next, Later or a tap leave it.
  const wanted = QUESTION_IDS.find((id) => id === at('ask'));
  const [chosen, choose] = useState<QuestionId | 'next' | null>(
    () => wanted ?? nextQuestion(questions),
  );
  // Another address while it stands here, as by Back.
  useEffect(() => {
    if (wanted) choose(wanted);
  }, [wanted]);
  useEffect(() => {
    if (chosen === 'next') choose(nextQuestion(questions));
  }, [chosen, questions]);
  const [all, setAll] = useState(false);
  const list = useRef<HTMLOListElement>(null);
  useEffect(() => {
    // Asked for by its address it may lie below what is seen.
    if (wanted) list.current?.querySelector('[data-open]')?.scrollIntoView?.({ block: 'nearest' });
  }, [wanted, chosen]);
  const set = useAnswer().job;
  const current = all || chosen === 'next' ? null : chosen;

  /** Leaves the open question only when nothing in it is wrong: what was typed stays in sight. */
  const leave = async (then: () => Promise<unknown> | void) => {
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
    await new Promise((resolve) => setTimeout(resolve));
    const wrong = () => list.current?.querySelector<HTMLElement>('[aria-invalid="true"]');
    if (wrong()) return wrong()!.focus();
    await then();
    wrong()?.focus();
  };
  const goOn = (later: boolean) =>
    void leave(async () => {
      if (!current) return;
      const trouble = await set(asked(snapshot.job, current, later));
      if (trouble || list.current?.querySelector('[aria-invalid="true"]')) return;
      choose('next');
      // The new question's first field, for those who type.
      setTimeout(() =>
        list.current?.querySelector<HTMLElement>('[data-part="question-fields"] input')?.focus(),
      );
    });
  useKeys({ '.': () => current && goOn(false) });
  return (
    <>
      <Work>
        <Head>
          <h2>{w.title}</h2>
          <Text variant="aside">{w.lead}</Text>
          <HeadEnd>
            <Button variant="text" onClick={() => setAll(!all)}>
              {all ? w.oneByOne : w.allAtOnce}
            </Button>
          </HeadEnd>
        </Head>
        <ol className={css.conversation} data-part="conversation" ref={list}>
          {questions.map((question) => (
            <QuestionRow
              key={question.id}
              question={question}
              open={all || question.id === current}
              alone={!all}
              onOpen={() => void leave(() => choose(question.id))}
              onNext={() => goOn(false)}
              onLater={() => goOn(true)}
            />
          ))}
        </ol>
        {chosen === null && !all && (
          <Note kind="good">
            {w.done} <Link href={href('fit')}>{w.toFit}</Link>
          </Note>
        )}
        <div className={css.known}>
          {may('erase') && (
            <Link href={`/archers/${snapshot.archer.id}`} prefetch={false}>
              {archerWords.link}
            </Link>
          )}
          <CloseTicket />
        </div>
      </Work>
      <Margin
        first={<Earlier />}
        because={[w.because.saved, w.because.hand]}
        watch={archerCautions(snapshot)}
      />
    </>
  );
}

function QuestionRow({
  question,
  open,
  alone,
  onOpen,
  onNext,
  onLater,
}: {
  question: Question;
  open: boolean;
  /** Whether it is the only one open: then it is left by Next or Later. */
  alone: boolean;
  onOpen: () => void;
  onNext: () => void;
  onLater: () => void;
}) {
  const { id, state, use } = question;
  const Fields = FIELDS[id];
  const { today } = useJob().snapshot;
  const answer =
    id === 'dates' && question.answer ? dayText(question.answer, today) : question.answer;
  const told = state === 'answered' || state === 'known';
  if (!open)
    return (
      <li data-state={state}>
        <Press type="button" className={css.question} onClick={onOpen}>
          <span className={css.questionMark} aria-hidden>
            {told && <Check />}
          </span>
          <span className={css.questionAsk}>{w.ask[id]}</span>
          <span className={css.questionAnswer}>
            {told ? answer : state === 'later' ? w.putOff : ''}
            {state === 'known' && (
              <Text variant="small" soft>
                {' '}
                {w.knownBefore}
              </Text>
            )}
          </span>
          {told && <span className={css.questionUse}>{use}</span>}
        </Press>
      </li>
    );
  return (
    <li data-state={state} data-open="yes" aria-current={alone ? 'step' : undefined}>
      <h3 className={css.questionAsk} id={`ask-${id}`}>
        {w.ask[id]}
      </h3>
      <Questions
        className={css.questionFields}
        data-part="question-fields"
        role="group"
        aria-labelledby={`ask-${id}`}
      >
        <Fields />
      </Questions>
      <p className={css.questionUse}>{use}</p>
      {alone && (
        <Actions>
          <Button variant="contained" onClick={onNext}>
            {w.next} <Key as="kbd">.</Key>
          </Button>
          <Button variant="text" onClick={onLater}>
            {w.later}
          </Button>
        </Actions>
      )}
    </li>
  );
}
