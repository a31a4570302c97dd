'use client';
import { useState } from 'react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import Button from '@mui/material/Button';
import { havingSeen, type Clash } from '@/contracts/merge';
import type { Shop } from '@/core/job';
import { setupValue } from '@/core/setup';
import {
  STEP_TEMPLATES,
  stepFaults,
  stationName,
  type OwnStep,
  type ShopSteps,
  type StepEdit,
  type StepFault,
  type StepTimes,
} from '@/core/bench';
import { Text } from '../pieces/Text';
import { PageHead } from '../frame/PageHead';
import { post } from '../keep/post';
import { useKept } from '../keep/useKept';
import { recordForm, stepWords as w } from '../words';
import { Page } from '../pieces/Page';
import { Actions, Rows } from '../pieces/layout';
import { Note, Tag } from '../pieces/texts';
import { OwnStepPanel } from './OwnStepPanel';
import { ShippedStepPanel } from './StepPanels';
import { StepUses } from './StepUses';
import type { Named } from './step-fields';
import css from './StepsPage.module.css';

/** The steps as this shop does them; checked as a whole before anything is saved. */
export function StepsPage({
  shop,
  times,
  consumables,
}: {
  shop: Shop;
  times: StepTimes;
  /** Parts a step can use up. */
  consumables: readonly Named[];
}) {
  const router = useRouter();
  // Changes not saved yet outlive the page; saved they are the shop's.
  const kept = useKept('shop.steps', () => ({ steps: shop.steps, seen: shop.steps }));
  const { steps, seen } = kept.value;
  const [open, setOpen] = useState<string | 'new' | null>(null);
  const [said, setSaid] = useState('');
  const [refused, setRefused] = useState('');
  const faults = stepFaults(steps);
  const change = (next: ShopSteps) => {
    kept.set((now) => ({ ...now, steps: next }));
    setSaid('');
    setRefused('');
    setOpen(null);
  };
  const save = async () => {
    const answer = await post<Shop>('/api/v1/shop', { steps, seen: { steps: seen } }, 'PATCH');
    setSaid(answer.ok ? w.saved : '');
    setRefused(answer.ok ? '' : answer.message);
    if (!answer.ok) {
      const clashes = answer.problem.clashes as readonly Clash[] | undefined;
      // Told what stands there now, whoever saves once more means it.
      if (clashes)
        kept.set((now) => {
          const told = havingSeen({ steps: now.seen }, clashes) as { steps: ShopSteps };
          return { ...now, seen: told.steps };
        });
      return;
    }
    const saved = answer.body.steps;
    kept.set({ steps: saved, seen: saved });
    kept.settled();
    router.refresh();
  };
  const edit = (id: string) => steps.edits.find((entry) => entry.id === id);
  const shipped = STEP_TEMPLATES.find(({ id }) => id === open);
  const own = open === 'new' ? null : (steps.own.find(({ id }) => id === open) ?? null);
  return (
    <>
      <PageHead title={w.title} />
      <Page>
        <Text soft>{w.lead}</Text>
        <Actions>
          <Button variant="contained" disabled={faults.length > 0} onClick={() => void save()}>
            {w.save}
          </Button>
          <Button variant="outlined" onClick={() => setOpen('new')}>
            {w.newStep}
          </Button>
          <Link href="/shop" prefetch={false}>
            {w.back}
          </Link>
          <Text role="status" soft as="span">
            {said}
          </Text>
        </Actions>
        {kept.found && (
          <Note role="status">
            {recordForm.foundAgain}{' '}
            <Button variant="text" onClick={kept.forget}>
              {recordForm.throwAway}
            </Button>
          </Note>
        )}
        <Faults faults={faults} refused={refused} />
        <Rows className={css.stepRows}>
          {steps.own.map((step) => (
            <Row
              key={step.id}
              title={step.title}
              about={stationName(step.station).toLowerCase()}
              tag={w.own}
              minutes={step.minutes}
              clocked={times[step.id]?.count ?? 0}
              onOpen={() => setOpen(step.id)}
            />
          ))}
          {STEP_TEMPLATES.map((template) => {
            const changed = edit(template.id);
            const values = template.reads.map((key) => setupValue(key).name.toLowerCase());
            return (
              <Row
                key={template.id}
                title={changed?.title ?? template.title}
                about={`${stationName(changed?.station ?? template.station).toLowerCase()} · ${w.reads} ${values.join(', ')}`}
                tag={changed?.off ? w.off : changed ? w.changed : ''}
                minutes={changed?.minutes ?? template.minutes}
                clocked={times[template.id]?.count ?? 0}
                onOpen={() => setOpen(template.id)}
              />
            );
          })}
        </Rows>
        <StepUses steps={steps} parts={consumables} onChange={change} />
      </Page>
      {shipped && (
        <ShippedStepPanel
          template={shipped}
          edit={edit(shipped.id) ?? { id: shipped.id }}
          steps={steps}
          onClose={() => setOpen(null)}
          onTake={(next) => change({ ...steps, edits: withEdit(steps.edits, next) })}
        />
      )}
      {(open === 'new' || own) && (
        <OwnStepPanel
          step={own}
          steps={steps}
          onClose={() => setOpen(null)}
          onTake={(next) => change({ ...steps, own: withOwn(steps.own, own?.id ?? null, next) })}
        />
      )}
    </>
  );
}

/** An edit that changes nothing is none. */
function withEdit(edits: readonly StepEdit[], next: StepEdit): StepEdit[] {
  const rest = edits.filter(({ id }) => id !== next.id);
  return Object.keys(next).length > 1 ? [...rest, next] : rest;
}

function withOwn(own: readonly OwnStep[], was: string | null, next: OwnStep | null): OwnStep[] {
  const rest = own.filter(({ id }) => id !== was);
  return next ? [...rest, next] : rest;
}

function Faults({ faults, refused }: { faults: readonly StepFault[]; refused: string }) {
  const all = [...faults.map(({ message }) => message), ...(refused ? [refused] : [])];
  if (all.length === 0) return null;
  return (
    <Note className={css.stepFaults} kind="stop" role="alert">
      <ul>
        {all.map((message) => (
          <li key={message}>{message}</li>
        ))}
      </ul>
    </Note>
  );
}

function Row({
  title,
  about,
  tag,
  minutes,
  clocked,
  onOpen,
}: {
  title: string;
  about: string;
  tag: string;
  minutes: number;
  clocked: number;
  onOpen: () => void;
}) {
  return (
    <li>
      <Button type="button" variant="plain" className={css.stepOpen} onClick={onOpen}>
        {title}
      </Button>
      <Text soft as="span">
        {about}
      </Text>
      <span>{tag && <Tag kind={tag === w.off ? 'out' : 'plain'}>{tag}</Tag>}</span>
      <Text variant="figure">
        {minutes} min{' '}
        {clocked > 0 && (
          <Text variant="small" soft>
            {w.learned(clocked)}
          </Text>
        )}
      </Text>
    </li>
  );
}
