/** Ways of working that good shops differ in; each changes steps and targets. */
export interface Schools {
  /** How the first centre shot is found; paper decides afterwards. */
  readonly centreShot: 'figure' | 'thread' | 'secondArrow' | 'eye';
  /** Nock level with the plunger hole, or a touch high to begin with. */
  readonly nockHeight: 'level' | 'high';
  readonly silencing: 'felt' | 'tube' | 'none';
  /** A containment rest's cage left on, or its front cut away. */
  readonly cage: 'on' | 'trimmed';
  /** Third axis on the bench with a level, or shot in on a slope. */
  readonly thirdAxis: 'bench' | 'shotIn';
  /** What is moved first for a tear to the side. */
  readonly paper: 'rest' | 'cams' | 'guard';
  /** Secondary set screws of rest and sight against the riser, or left out to spare it. */
  readonly setScrews: 'tightened' | 'leftOut';
}

export type SchoolName = keyof Schools;

export const USUAL_SCHOOLS: Schools = {
  centreShot: 'figure',
  nockHeight: 'high',
  silencing: 'felt',
  cage: 'on',
  thirdAxis: 'bench',
  paper: 'rest',
  setScrews: 'tightened',
};

interface SchoolChoice<N extends SchoolName = SchoolName> {
  readonly name: N;
  readonly title: string;
  readonly choices: readonly { readonly id: Schools[N]; readonly name: string }[];
}

const school = <N extends SchoolName>(
  name: N,
  title: string,
  choices: Record<Schools[N], string>,
): SchoolChoice<N> => ({
  name,
  title,
  choices: (Object.entries(choices) as [Schools[N], string][]).map(([id, text]) => ({
    id,
    name: text,
  })),
});

/** What can be chosen, in the order of the work. */
export const SCHOOLS: readonly SchoolChoice[] = [
  school('centreShot', 'First centre shot', {
    figure: 'by the figure',
    thread: 'by a thread',
    secondArrow: 'by a second arrow',
    eye: 'by eye',
  }),
  school('nockHeight', 'First nock height', { level: 'level', high: 'a touch high' }),
  school('silencing', 'Silencing the rest', {
    felt: 'felt',
    tube: 'shrink tube',
    none: 'left as it is',
  }),
  school('cage', 'Cage of a ring rest', { on: 'left on', trimmed: 'trimmed' }),
  school('thirdAxis', 'Third axis', { bench: 'on the bench', shotIn: 'shot in' }),
  school('paper', 'A tear to the side', {
    rest: 'rest first',
    cams: 'cams first',
    guard: 'cable guard first',
  }),
  school('setScrews', 'Secondary set screws', {
    tightened: 'tightened',
    leftOut: 'left out, to spare the riser',
  }),
];

/** The shop's schools with those that differ for one job. */
export const schoolsOf = (shop: Schools, job: Partial<Schools>): Schools => ({ ...shop, ...job });
