import { anglesText, REACTIONS, type BarSet } from '../balance';
import { BAR_SPOTS } from '../bow';
import { jobBalance, type JobDerived, type JobSnapshot } from '../job';
import type { SheetDocument } from './sheet-document';

const round = (value: number) => Math.round(value);
const CENTRE_FROM = {
  hung: 'hung in the shop',
  measured: 'measured in the shop before',
  given: 'as the maker gives it',
  estimated: 'not known, taken as of a usual bow',
} as const;

const away = (mm: number, more: string, less: string) =>
  `${Math.abs(round(mm))} mm ${mm < 0 ? less : more}`;

const barLine = (name: string, set: BarSet | null) =>
  set
    ? `${name}: ${[
        set.bar.name,
        set.mount ? set.mount.name : BAR_SPOTS[set.spot],
        anglesText(set),
        set.discs && `${set.discs.count} × ${set.discs.name}`,
      ]
        .filter(Boolean)
        .join(', ')}`
    : `${name}: none`;

/** What the bow weighs, where, and what it does, once anybody looked; nothing before. */
export function balancePart(
  snapshot: JobSnapshot,
  derived: JobDerived,
): Pick<SheetDocument, 'balance'> {
  const { bow } = snapshot;
  if (!bow) return {};
  const { bare, mounted, neutral, now, quiver, hasQuiver } = jobBalance(snapshot, derived, bow);
  if (!mounted && neutral.tries.length === 0 && bare.centreFrom !== 'hung') return {};
  const { massG, centre, rollTorqueNmm, pitchTorqueNmm } = now.props;
  const last = neutral.tries.at(-1);
  const did = REACTIONS.find(({ id }) => id === last?.choice)?.name;
  return {
    balance: {
      massG,
      centre,
      rollTorqueNmm,
      pitchTorqueNmm,
      text: [
        ...(mounted
          ? [barLine('Front bar', mounted.front), barLine('Rear bar', mounted.rear)]
          : []),
        `Centre of mass ${away(centre.forwardMm, 'ahead of', 'behind')} the throat, ${away(centre.upMm, 'above', 'below')}, ${away(centre.rightMm, 'right', 'left')}; bare bow ${CENTRE_FROM[bare.centreFrom]}`,
        `By the list ${round(massG)} g${hasQuiver ? `, quiver ${quiver === 'off' ? 'off' : `on and ${quiver}`}` : ''}`,
        ...(did
          ? [
              `After the shot it ${did} (${last!.bars ? 'with these bars' : 'without bars'}); neutral ${round(neutral.neutralRollNmm)} and ${round(neutral.neutralPitchNmm)} N·mm from ${neutral.tries.length} ${neutral.tries.length === 1 ? 'try' : 'tries'}`,
            ]
          : []),
      ],
    },
  };
}
