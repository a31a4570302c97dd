'use client';
import { useState } from 'react';
import { arrowGround } from '@/core/job';
import {
  arrowParts,
  builtArrow,
  firstChoice,
  partName,
  safeLengthMm,
  sellCents,
  shaftOffers,
  type AnyPart,
  type ArrowChoice,
  type PartOf,
} from '@/core/kit';
import { useJob } from '../../job/JobProvider';

/** Builds compared side by side at most. */
const BUILD_NAMES = ['A', 'B', 'C', 'D'];

/** The arrows of a job as they are put together: the builds, the one looked at, what it comes to. */
export function useBuilds(components: readonly AnyPart[]) {
  const { snapshot, derived, send } = useJob();
  const [at, setAt] = useState(0);
  const [trouble, setTrouble] = useState('');
  const ground = arrowGround(snapshot, derived);
  const saved = snapshot.job.arrows.builds;
  const start = firstChoice(components, ground, BUILD_NAMES[0]!);
  const builds = saved.length > 0 ? saved : start ? [start] : [];
  const choice = builds[Math.min(at, builds.length - 1)];
  const find = (id: string) => components.find((part) => part.id === id) ?? null;
  const save = async (next: readonly ArrowChoice[]) => {
    const answer = await send({ name: 'setArrows', builds: next.map((one) => ({ ...one })) });
    setTrouble(answer?.message ?? '');
    return answer;
  };
  const change = (part: Partial<ArrowChoice>) =>
    save(builds.map((one) => (one === choice ? { ...one, ...part } : one)));
  const another = async () => {
    const name = BUILD_NAMES.find((letter) => !builds.some((one) => one.name === letter))!;
    if (!(await save([...builds, { ...choice!, name }]))) setAt(builds.length);
  };
  const drop = async () => {
    if (!(await save(builds.filter((one) => one !== choice)))) setAt(0);
  };
  const take = async () => {
    if (saved.length === 0 && (await save(builds))) return;
    const answer = await send({ name: 'takeArrows', build: builds.indexOf(choice!) });
    setTrouble(answer?.message ?? '');
  };
  const parts = choice ? arrowParts(choice, find) : null;
  const shafts = components.filter((part) => part.slot === 'shaft') as unknown as PartOf<'shaft'>[];
  const short =
    choice && parts && sellCents(parts.shaft as AnyPart) > 0 && parts.shaft.stock < choice.count
      ? { name: partName(parts.shaft as AnyPart), stock: parts.shaft.stock }
      : null;
  return {
    ground,
    builds,
    choice,
    find,
    parts,
    answer: choice && parts ? builtArrow(choice, parts, ground) : null,
    offers: choice && parts ? shaftOffers(shafts, choice, parts, ground) : [],
    safeMm: safeLengthMm(ground),
    taken: snapshot.parts.find(({ slot }) => slot === 'arrows') ?? null,
    /** A shaft the shop sells and has too few of; null otherwise. */
    short,
    pick: setAt,
    change,
    another: builds.length < BUILD_NAMES.length ? another : null,
    drop: builds.length > 1 ? drop : null,
    take,
    trouble,
  };
}

export type Builds = ReturnType<typeof useBuilds>;
