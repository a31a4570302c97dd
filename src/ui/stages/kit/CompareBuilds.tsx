import {
  arrowParts,
  builtArrow,
  type AnyPart,
  type ArrowChoice,
  type ArrowGround,
} from '@/core/kit';
import { write, writeMoney } from '@/core/units';
import { arrowDecimals } from './ArrowFacts';
import { useJob } from '../../job/JobProvider';
import { arrowWords as w } from '../../words';
import { GridTable } from '../../fields/GridTable';

/** Several builds in one table, each figure beside the others. */
export function CompareBuilds({
  builds,
  find,
  ground,
  current,
  onPick,
}: {
  builds: readonly ArrowChoice[];
  find: (id: string) => AnyPart | null;
  ground: ArrowGround;
  current: ArrowChoice;
  onPick: (index: number) => void;
}) {
  const { units } = useJob().snapshot.shop;
  return (
    <section className="block">
      <h3 className="block-title">{w.compare}</h3>
      <GridTable className="compare-builds">
        <thead>
          <tr>
            {w.compareHeads.map((head) => (
              <th key={head}>{head}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {builds.map((choice, i) => {
            const parts = arrowParts(choice, find);
            const answer = parts && builtArrow(choice, parts, ground);
            return (
              <tr key={choice.name} data-current={choice === current ? 'yes' : 'no'}>
                <td>
                  <button type="button" className="link-button" onClick={() => onPick(i)}>
                    {w.build(choice.name)}
                  </button>
                </td>
                {parts && answer?.ok ? (
                  <>
                    <td>{parts.shaft.model}</td>
                    <td className="figure">
                      {write(answer.massG, 'mass', units, arrowDecimals(units))}
                    </td>
                    <td className="figure">{answer.frontOfCentrePct.toFixed(1)} %</td>
                    <td>{answer.spineVerdict ? w.verdicts[answer.spineVerdict] : '—'}</td>
                    <td className="figure">
                      {answer.speedMps === null ? '—' : write(answer.speedMps, 'speed', units)}
                    </td>
                    <td className="figure">
                      {answer.energyJ === null ? '—' : w.joule(answer.energyJ.toFixed(0))}
                    </td>
                    <td className="figure">{writeMoney(answer.priceCents)}</td>
                  </>
                ) : (
                  <td colSpan={7}>{answer && !answer.ok ? answer.message : w.partGone}</td>
                )}
              </tr>
            );
          })}
        </tbody>
      </GridTable>
    </section>
  );
}
