'use client';
import type { BowOffer, LoggedCurve } from '@/core/bow';
import { notDrawn, type JobDerived, type JobSnapshot } from '@/core/job';
import { useJob } from '../../job/JobProvider';
import { useStage } from '../../job/useStage';
import { ChooseBow } from './ChooseBow';
import { DrawForce } from './DrawForce';
import { DrawOffPart } from './DrawOffPart';
import { LikeAnother } from './LikeAnother';
import { LimbBolts } from './LimbBolts';
import { SetModule } from './SetModule';
import { TheirOwn } from './TheirOwn';
import { Twists } from './Twists';

/** A bow that covers the fit, its module, its limb bolts. */
export function BowStage({
  offers,
  curves,
}: {
  /** As this job can take them. */
  offers: readonly BowOffer[];
  /** The newest logged curve of every bow. */
  curves: readonly LoggedCurve[];
}) {
  const { snapshot, derived } = useJob();
  const { at } = useStage();
  const bows = offers.flatMap(({ bow, piece }) => (piece === null ? [bow] : []));
  // Opened without a wish it is the same screen as opened with one: a link to where one is already
  // leaves what is being typed alone.
  const wanted = at('part') ?? PART_OF_STEP[at('step') ?? ''] ?? firstOpen(snapshot, derived);
  if (wanted === 'own') return <TheirOwn offers={offers} />;
  if (wanted === 'like') return <LikeAnother />;
  if (wanted === 'drawOff') return <DrawOffPart bows={bows} />;
  if (!snapshot.bow || wanted === 'choose') return <ChooseBow offers={offers} />;
  if (wanted === 'force') return <DrawForce bow={snapshot.bow} bows={bows} curves={curves} />;
  if (wanted === 'twists') return <Twists bow={snapshot.bow} />;
  if (wanted === 'module') return <SetModule bow={snapshot.bow} />;
  return <LimbBolts bow={snapshot.bow} />;
}

const PART_OF_STEP: Readonly<Record<string, string>> = { modules: 'module', limbBolts: 'bolts' };

/** Where work is left. */
function firstOpen({ job }: JobSnapshot, { plan }: JobDerived): string {
  if (notDrawn(job)) return 'own';
  const modules = plan.steps.find((step) => step.id === 'modules');
  const open = modules && modules.state !== 'done' && modules.state !== 'signed';
  return open ? 'module' : 'bolts';
}
