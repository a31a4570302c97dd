import { mm, type Metre, type Mm } from '../units';
import { airDensity, type AirConditions } from './air';
import { eyeLever } from './eye-lever';
import { sightMarks, type SightMarksInput } from './sight-marks';

/**
 * Pressure at a height above the sea in the standard atmosphere, hPa (ISO 2533:1975).
 *
 * @param heightM −500 to 5000.
 */
export const pressureAtHpa = (heightM: number): number =>
  1013.25 * (1 - 2.25577e-5 * heightM) ** 5.25588;

/** The standard atmosphere the marks are made for until somebody says otherwise. */
const USUAL_AIR: AirConditions = { temperatureC: 15, pressureHpa: 1013.25, humidity: 0 };

interface WeatherRow {
  readonly id: 'warmer' | 'colder' | 'higher';
  readonly airDensityKgM3: number;
  /** By how much the pin would have to stand lower (+) or higher (−), mm, for each distance. */
  readonly pinMm: readonly Mm[];
  /** What the arrow does with the pin left: above (+) or below (−) the aim, mm. */
  readonly hitMm: readonly Mm[];
}

/**
 * What 20 °C more or less, or 1,000 m more height, does to the marks; temperature and thin air act
 * through the air's density alone.
 */
export function weatherTable(
  input: Omit<SightMarksInput, 'airDensityKgM3' | 'distancesM' | 'clearance'>,
  distancesM: readonly Metre[],
  air: AirConditions = USUAL_AIR,
): WeatherRow[] {
  const pins = (density: number) => {
    const answer = sightMarks({ ...input, airDensityKgM3: density, distancesM });
    return answer.ok ? answer.marks.map((mark) => mark.pinAboveArrowMm) : null;
  };
  const now = pins(airDensity(air));
  const rows: readonly (readonly [WeatherRow['id'], AirConditions])[] = [
    ['warmer', { ...air, temperatureC: air.temperatureC + 20 }],
    ['colder', { ...air, temperatureC: air.temperatureC - 20 }],
    ['higher', { ...air, pressureHpa: (air.pressureHpa * pressureAtHpa(1000)) / pressureAtHpa(0) }],
  ];
  return rows.flatMap(([id, changed]) => {
    const density = airDensity(changed);
    const then = pins(density);
    if (!now || !then) return [];
    const pinMm = now.map((pin, i) => mm(pin - then[i]!));
    return [
      {
        id,
        airDensityKgM3: density,
        pinMm,
        hitMm: pinMm.map((move, i) => mm(-move * eyeLever(distancesM[i]!, input.peepToPinMm))),
      },
    ];
  });
}
