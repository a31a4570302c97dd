import { STAGES, type Stage } from '../setup';

/** Parts of the guided opening, in the order one goes through them. */
export const FIRST_HOUR = [
  { id: 'shop', name: 'The shop' },
  { id: 'units', name: 'Numbers' },
  { id: 'money', name: 'Money and tax' },
  { id: 'people', name: 'People' },
  { id: 'hours', name: 'Stations and hours' },
  { id: 'schools', name: 'Schools' },
  { id: 'stock', name: 'Stock' },
  { id: 'job', name: 'A first job' },
] as const;

export type FirstHourPart = (typeof FIRST_HOUR)[number]['id'];

/** What somebody new is told at a stage of the first job, once. */
export const STAGE_HINTS: Readonly<Record<Stage, string>> = {
  meet: 'Ask what decides the bow: hand, purpose, how far, budget, the day it is needed. Every answer is saved as it is given; what is not asked now can wait.',
  fit: 'Measure the draw length by two methods at least, type as one says it: 28 3/8, or 721mm. When they disagree the ruler shows it.',
  bow: 'Bows that fit stand first, each with the reason. Let the archer draw two or three; then choose one and set its length and weight.',
  kit: 'What the bow needs before it can be used stands on top. Whole packages within the budget are put together beside it.',
  bench:
    'The work stands in its order, so that the press is used once. Measure, take, press “.”; a value that moved another one says so.',
  lane: 'Shoot through paper first, one change at a time; then speed, marks and the tape.',
  steady: 'Shoot without bars and say which way the bow tips: the bars are chosen from that.',
  handover:
    'What is still open stands here with its reason. The sheet is made once everything is done or signed off.',
};

export const stageOf = (path: string): Stage | null =>
  STAGES.find(({ id }) => path.endsWith(`/${id}`))?.id ?? null;
