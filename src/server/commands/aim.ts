import { aimTopic, holdTrace, pathOf, type AimSample } from '@/core/hold';
import { milliradian, second } from '@/core/units';
import { aimCount, insertAim, leaveOutAim } from '@/data/aims';
import { bowFor, cannot, ofStage, type Handlers } from './types';

/** More shots than these nobody looks through. */
const MOST_SHOTS = 200;
const LEAST_SAMPLES = 11;

/** Shots aimed with a sensor. */
export const AIM = ofStage('steady', {
  keepAim({ topic, way, device, releaseS, samples: { t, r, u } }, work) {
    const bow = bowFor(work);
    const { db, snapshot, who, at } = work;
    const said = aimTopic(topic)?.ways.find(([id]) => id === way);
    if (!said)
      throw cannot(
        'unknown-way',
        `“${topic}, ${way}” is nothing that is compared.`,
        '/command/way',
      );
    if (t.length !== r.length || t.length !== u.length)
      throw cannot(
        'columns-apart',
        `There are ${t.length} times, ${r.length} to the right and ${u.length} up: as many of each are needed.`,
        '/command/samples',
      );
    if (t.length < LEAST_SAMPLES)
      throw cannot(
        'too-few-samples',
        `${t.length} samples are no trace: thirty a second are needed.`,
        '/command/samples',
      );
    if (aimCount(db, snapshot.job.id, bow.id) >= MOST_SHOTS)
      throw cannot(
        'too-many-shots',
        `A job keeps ${MOST_SHOTS} aimed shots of a bow.`,
        '/command/samples',
      );
    const samples: AimSample[] = t.map((tS, i) => ({
      tS: second(tS),
      rightMrad: milliradian(r[i]!),
      upMrad: milliradian(u[i]!),
    }));
    const found = holdTrace({
      samples,
      ...(releaseS === null ? {} : { releaseS: second(releaseS) }),
    });
    if (!found.ok && found.reason === 'time-order')
      throw cannot(found.reason, found.message, '/command/samples');
    const { ok, ...result } = found as typeof found & { ok: boolean };
    const id = insertAim(db, {
      jobId: snapshot.job.id,
      bowId: bow.id,
      at,
      who,
      topic,
      way,
      device,
      releaseS: releaseS ?? (found.ok ? found.releaseS : null),
      samples: { t, r, u },
      result: ok ? (result as never) : null,
      refused: found.ok ? null : found.message,
      path: pathOf(samples),
      leftOut: '',
    });
    const held = found.ok
      ? `held ${found.hold.durationS.toFixed(1)} s, ${found.hold.rmsMrad.toFixed(2)} mrad`
      : 'no hold to read';
    return { summary: `Aimed, ${said[1]}: ${held}`, inverse: { do: 'dropAim', id } };
  },

  leaveOutAim({ id, reason }, { db, snapshot }) {
    const before = leaveOutAim(db, snapshot.job.id, id, reason.trim());
    if (before === null) throw cannot('no-shot', 'There is no such shot.', '/command/id');
    return {
      summary:
        reason.trim() === ''
          ? 'Aimed shot taken in again'
          : `Aimed shot left out: ${reason.trim()}`,
      inverse: { do: 'aimReason', id, reason: before },
    };
  },
} satisfies Partial<Handlers>);
