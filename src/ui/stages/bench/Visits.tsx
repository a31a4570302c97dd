'use client';
import Link from 'next/link';
import { slotName } from '@/core/kit';
import { stationName } from '@/core/bench';
import type { PlanVisit } from '@/core/route';
import { Text } from '../../pieces/Text';
import { useJob } from '../../job/JobProvider';
import { useStage } from '../../job/useStage';
import { bench as w } from '../../words';
import { Block } from '../../pieces/layout';
import { Tag } from '../../pieces/texts';
import css from './Visits.module.css';

/** What is left, as visits to stations; the press is entered as seldom as can be. */
export function Visits({ current }: { current: string | null }) {
  const { derived } = useJob();
  const { href } = useStage();
  const { visits, steps, minutesLeft, doneCount } = derived.plan;
  if (visits.length === 0) return null;
  const title = (id: string) => steps.find((step) => step.id === id)!;
  return (
    <Block className={css.visits} data-part="visits">
      <h3>
        {w.route}{' '}
        <Text soft as="span">
          {w.progress(doneCount, steps.length)} · {w.routeSum(visits.length, minutesLeft)}
        </Text>
      </h3>
      <ol>
        {visits.map((visit, i) => (
          <li key={i} data-here={visit.steps.includes(current ?? '') ? 'yes' : 'no'}>
            <span className={css.visitStation} data-part="visit-station">
              {stationName(visit.station)}
            </span>
            <Text variant="figure" className={css.visitMinutes}>
              {visit.minutes} min
              {visit.dryMinutes > 0 && ` · ${w.dries(hoursText(visit.dryMinutes))}`}
            </Text>
            <span className={css.visitSteps}>
              {visit.station === 'press' && visit.steps.length > 1 && (
                <Tag kind="plain">{w.pressOnce(visit.steps.length)}</Tag>
              )}
              {visit.archer && <Tag>{w.withArcher}</Tag>}
              {visit.steps.map((id) => {
                const step = title(id);
                return (
                  <Link
                    key={id}
                    href={href(step.template.stage, { step: id })}
                    scroll={false}
                    prefetch={false}
                    data-state={step.state}
                  >
                    {step.template.title}
                    {step.state === 'again' && ` (${w.again})`}
                  </Link>
                );
              })}
              <Why visit={visit} title={(id) => title(id).template.title} />
            </span>
          </li>
        ))}
      </ol>
    </Block>
  );
}

const hoursText = (minutes: number) =>
  minutes % 60 === 0 ? `${minutes / 60} h` : `${minutes} min`;

/** Why the visit is made, and what has to be ready before it; the press is told in full. */
function Why({ visit, title }: { visit: PlanVisit; title: (id: string) => string }) {
  const { why, ready, parts, station } = visit;
  const words =
    why.kind === 'opens'
      ? w.why.opens(title(why.step), why.then.length, title(why.then[0]!))
      : why.kind === 'again'
        ? w.why.again(title(why.step), title(why.after))
        : w.why.last;
  return (
    <Text variant="small" soft className={css.visitWhy} data-part="visit-why">
      {words}.
      {station === 'press' && (ready.length > 0 || parts.length > 0) && (
        <>
          {' '}
          {ready.length > 0 && (
            <>
              <b>{w.readyFirst}</b> {ready.map(title).join(', ')}.
            </>
          )}{' '}
          {parts.length > 0 && (
            <>
              {w.partsReady} {parts.map((slot) => slotName(slot).toLowerCase()).join(', ')}.
            </>
          )}
        </>
      )}
    </Text>
  );
}
