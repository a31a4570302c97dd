/** Words of Today. */
export const today = {
  title: (day: string) => `Today, ${day}`,
  openTill: (till: string) => `open till ${till}`,
  jobs: 'Jobs in order of what to do next',
  noJobs: 'No job yet.',
  noJobsHint: 'A new job needs a name. The rest comes as the conversation goes.',
  bench: 'The bench today',
  visits: (press: number, bows: number) =>
    `press used ${press === 1 ? 'once' : `${press} times`} for ${bows} ${bows === 1 ? 'bow' : 'bows'}`,
  unreadable: (jobs: readonly { number: number; name: string }[]) =>
    `${jobs.length === 1 ? 'One job cannot' : `${jobs.length} jobs cannot`} be read: ${jobs
      .map(({ number, name }) => (name ? `${number}, ${name}` : String(number)))
      .join('; ')}. The others are not touched by it. Bring that record back from a backup.`,
  moreLate: (count: number) => `and ${count} more, marked among the tickets`,
  nothingPlanned: 'Nothing planned for the rest of the day.',
  closed: 'The shop is closed; this is the plan for when it opens.',
  plan: 'Plan of the day by station',
  steps: (n: number) => (n === 1 ? '1 step' : `${n} steps`),
  withArcher: 'with archer',
  grows: 'draw length again',
  arriving: 'Arriving',
  noArriving: 'Nothing is on its way.',
  comingBack: 'Coming back',
  noComingBack: 'Nobody yet.',
  checks: 'peep rotation, stretch, sight',
  late: 'late or going to be',
  nothingLate: 'nothing late',
  noDate: 'no date',
  settings: 'Shop',
} as const;
