'use client';
import { jobMarks } from '@/core/job';
import { write } from '@/core/units';
import { useJob } from '../../job/JobProvider';
import { marksWords as m } from '../../words';
import { Discard } from '../../job/Discard';

/** Three marks that scatter more than this do not agree, mm at the pin. Shop rule. */
const APART_MM = 1;

/** Confirmed distances with what each is off the fit; one that does not fit the others is named. */
export function ConfirmedList() {
  const { snapshot, derived } = useJob();
  const units = snapshot.shop.units;
  const { shots, fit } = jobMarks(derived, []);
  const say = (distanceM: number) => write(distanceM, 'distance', units, { decimals: 0 });
  const odd = fit?.ok ? fit.odd : null;
  return (
    <section>
      <h3 className="block-title">{m.confirmed}</h3>
      {shots.length === 0 && <p className="soft">{m.noneConfirmed}</p>}
      <ul className="rows confirmed-rows">
        {shots.map((shot, i) => (
          <li key={shot.seq} data-out={odd === i ? 'yes' : 'no'}>
            <b className="figure">{say(shot.distanceM)}</b>
            <span className="mark-place">
              {i === 0 ? m.reference : m.at(shot.dropMm.toFixed(1))}
            </span>
            <span className="small soft">
              {shot.scaleM !== null && `${m.scaleRead(say(shot.scaleM))} `}
              {fit?.ok && fit.sigmaMarkMm !== null && m.residual(signed(fit.residualsMm[i]!))}
            </span>
            <Discard seq={shot.seq} />
          </li>
        ))}
      </ul>
      {fit && !fit.ok && <p className="note">{fit.message}</p>}
      {fit?.ok && shots.length === 3 && (fit.sigmaMarkMm ?? 0) > APART_MM && (
        <p className="note" role="alert">
          {m.cannotTell}
        </p>
      )}
      {odd !== null && fit?.ok && (
        <p className="note" role="alert">
          {m.odd(say(shots[odd]!.distanceM), signed(fit.residualsMm[odd]!))}
        </p>
      )}
    </section>
  );
}

/** With its sign; what rounds to nothing has none. */
const signed = (mm: number) => {
  const tenths = Math.round(mm * 10) / 10;
  return tenths === 0 ? '0.0' : `${tenths > 0 ? '+' : '−'}${Math.abs(tenths).toFixed(1)}`;
};
