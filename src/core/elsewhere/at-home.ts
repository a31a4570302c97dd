import { fastenText, shopTemplates, type StepTemplate } from '../bench';
import { bowName } from '../bow';
import { HANDOVER_CAUTIONS, type JobDerived, type JobSnapshot } from '../job';
import { block, cell, listBlock, type SheetBlock } from '../sheet';

/** What the archer does at home of the work: with the keys in the box, and what wants the shop. */
interface AtHome {
  readonly steps: readonly StepTemplate[];
  /** Left out here, and nothing for home. */
  readonly notAtHome: readonly { readonly title: string; readonly why: string }[];
}

/** Why a step is nothing for home; null where keys, a table and care are enough. */
function whyNot({ id, station, archer }: StepTemplate, { bow }: JobSnapshot): string | null {
  if (station === 'press') return 'wants a press: without one limbs and cams fly';
  if (station === 'drawBoard') return 'wants a draw board';
  if (station === 'lane' || archer)
    return 'is drawn: with a release, an arrow and a safe target, somebody beside';
  if (id === 'limbBolts' && bow?.maxTurns === null)
    return 'no limit of turns is known: past it the limb leaves its pocket';
  return null;
}

/** The steps that were left out of the shop's work, by whether they can be done at home. */
function atHome(snapshot: JobSnapshot, { context }: JobDerived): AtHome {
  const leftOut = new Set(snapshot.job.elsewhere?.leftOut ?? []);
  const out = shopTemplates(context).filter(
    (template) => leftOut.has(template.id) && template.applies(context),
  );
  return {
    steps: out.filter((template) => whyNot(template, snapshot) === null),
    notAtHome: out.flatMap((template) => {
      const why = whyNot(template, snapshot);
      return why === null ? [] : [{ title: template.title, why }];
    }),
  };
}

/** The page that goes home with the archer. */
interface HomePage {
  readonly title: string;
  readonly bow: string;
  readonly blocks: readonly SheetBlock[];
}

const FIRST = [
  'Nobody draws the bow before the shop has looked it over and said so.',
  'Loosen nothing at limbs, cams, string or cables, and take nothing off them: that wants a press.',
  'The maker’s manual comes before this page.',
];

/** @returns null where nothing was left out: there is nothing to do at home. */
export function homePage(snapshot: JobSnapshot, derived: JobDerived): HomePage | null {
  const { steps, notAtHome } = atHome(snapshot, derived);
  if (steps.length === 0 && notAtHome.length === 0) return null;
  const { bow, shop } = snapshot;
  return {
    title: 'To do at home',
    bow: bow ? bowName(bow) : '',
    blocks: [
      listBlock('first', 'Before anything', FIRST),
      block(
        'steps',
        'In this order',
        [0.3, 0.48, 0.22],
        steps.map((step) => [
          cell(step.title, 'strong'),
          cell([step.say(derived.context), ...(step.watch ?? [])].filter(Boolean).join(' ')),
          cell(
            [step.tool, step.fasten && fastenText(step.fasten, shop.units)]
              .filter(Boolean)
              .join('; '),
            'soft',
          ),
        ]),
      ),
      block(
        'notAtHome',
        'Not at home',
        [0.4, 0.6],
        notAtHome.map(({ title, why }) => [
          cell(title, 'strong'),
          cell(`${why.charAt(0).toUpperCase()}${why.slice(1)}.`),
        ]),
      ),
      listBlock(
        'cautions',
        'Always',
        HANDOVER_CAUTIONS.map(({ text }) => text),
      ),
    ].filter((one) => one !== null),
  };
}
