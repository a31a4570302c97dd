'use client';
import Stack from '@mui/material/Stack';
import { pinDistances, pinLayout, type PinPlace } from '@/core/flight';
import { dropsBelow, laneEntry, type JobMarks } from '@/core/job';
import { itemOf } from '@/core/kit';
import { M_PER_YARD, metre, mm, read, write } from '@/core/units';
import { Text } from '../../pieces/Text';
import { PinsDrawing } from '../../drawings/PinsDrawing';
import { useJob } from '../../job/JobProvider';
import { useKept } from '../../keep/useKept';
import { marksWords } from '../../words';
import { SmallNumber } from '../../fields/SmallNumber';
import { Note, Tag } from '../../pieces/texts';
import { Rows, Verdict } from '../../pieces/layout';
import css from './PinGaps.module.css';
import entryCss from './entry.module.css';

const w = marksWords.pins;
const USUAL_PINS = 5;
const USUAL_DOT_MM = 0.74;
/** In metres or yards alike. Shop rule. */
const USUAL_FIRST = 20;

/** Pins at their true gaps: which fit the housing, and where the first has to stand so that all do. */
export function PinGaps({ marks }: { marks: JobMarks }) {
  const { snapshot, derived } = useJob();
  const { units } = snapshot.shop;
  const sight = itemOf(derived.kit, 'sight')?.attrs;
  const perUnit = units.distance === 'yd' ? M_PER_YARD : 1;
  // Until a distance is confirmed the first pin is taken for the usual one.
  const first = marks.shots.length > 0 ? marks.referenceM / perUnit : USUAL_FIRST;
  const furthest = (snapshot.job.furthestM ?? 50) / perUnit;
  const kept = `${snapshot.job.id}.pins`;
  const { value: distances, set: setDistances } = useKept<readonly string[]>(`${kept}.at`, () =>
    pinDistances(sight?.pins ?? USUAL_PINS, Math.round(first), Math.round(furthest)).map(
      (d) => `${d} ${units.distance}`,
    ),
  );
  const roomStart = sight ? (sight.travelMm > 0 ? sight.travelMm : 2 * sight.housingRadiusMm) : 24;
  const { value: roomText, set: setRoom } = useKept(`${kept}.room`, () => `${roomStart} mm`);
  const { value: firstText, set: setFirst } = useKept(`${kept}.first`, () => '');
  const length = (text: string) => read(text, laneEntry('pinPlace', units));
  const [room, firstPin] = [length(roomText), length(firstText)];
  const reads = distances.map((text) => read(text, laneEntry('pinDistance', units)));
  const meant = reads
    .flatMap((entry) => (entry.ok ? [entry.si] : []))
    .sort((a, b) => a - b)
    .filter((d, i, all) => i === 0 || d - all[i - 1]! > 0.4);
  const drops =
    marks.flight && meant.length > 0
      ? dropsBelow(
          marks.flight,
          marks.flight.speedMps,
          metre(meant[0]!),
          meant.map((d) => metre(d)),
        )
      : null;
  const housing = {
    pins: sight?.pins ?? USUAL_PINS,
    pinMm: mm(sight?.pinMm ?? USUAL_DOT_MM),
    roomMm: mm(room.ok ? room.si : roomStart),
  };
  const layout =
    drops &&
    pinLayout(
      housing,
      meant.map((d) => metre(d)),
      drops.map((drop) => mm(drop)),
      firstText.trim() !== '' && firstPin.ok ? mm(firstPin.si) : null,
    );
  const say = (distanceM: number) => write(distanceM, 'distance', units, { decimals: 0 });
  const outside = layout?.pins.filter((pin) => !pin.fits) ?? [];
  return (
    <div className={css.pinsSplit}>
      {layout && <PinsDrawing layout={layout} housing={housing} say={say} />}
      <Stack spacing={2}>
        {layout && (
          <>
            {outside.length > 0 && (
              <Note role="alert">
                {w.named(outside.map((pin) => say(pin.distanceM)).join(', '))}{' '}
                {layout.firstAtMostMm === null
                  ? w.cannot(layout.spanMm.toFixed(1), housing.roomMm.toFixed(0))
                  : w.firstAtMost(layout.firstAtMostMm.toFixed(1))}
              </Note>
            )}
            {outside.length === 0 && layout.firstAtMostMm !== null && (
              <Verdict role="status">
                <b>{w.firstAtMost(layout.firstAtMostMm.toFixed(1))}</b>
              </Verdict>
            )}
          </>
        )}
        <div className={entryCss.tearFields}>
          {distances.map((text, i) => (
            <SmallNumber
              key={i}
              label={`${w.distance} ${i + 1}`}
              text={text}
              onText={(value) => setDistances(distances.map((t, k) => (k === i ? value : t)))}
              result={reads[i]!}
            />
          ))}
        </div>
        <div className={entryCss.tearFields}>
          <SmallNumber label={w.room} text={roomText} onText={setRoom} result={room} />
          <SmallNumber label={w.first} text={firstText} onText={setFirst} result={firstPin} />
        </div>
        {layout && (
          <Rows as="ol" className={css.pinRows} data-part="pin-rows">
            {layout.pins.map((pin) => (
              <PinRow key={pin.distanceM} pin={pin} say={say} />
            ))}
          </Rows>
        )}
      </Stack>
    </div>
  );
}

function PinRow({ pin, say }: { pin: PinPlace; say: (distanceM: number) => string }) {
  return (
    <li data-out={pin.fits ? 'no' : 'yes'}>
      <Text variant="figure" as="b">
        {say(pin.distanceM)}
      </Text>
      <Text variant="figure">{pin.gapMm === null ? '' : w.gap(pin.gapMm.toFixed(1))}</Text>
      <Tag kind={pin.fits ? 'in' : 'out'}>{pin.fits ? w.fits : w.fitsNot}</Tag>
      {pin.touches && (
        <Text variant="small" soft>
          {w.touches}
        </Text>
      )}
    </li>
  );
}
