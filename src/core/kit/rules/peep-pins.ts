import { cannotTell, doesNotFit, fits, itemOf, type KitRule } from '../types';

/** The eye behind the peep and the peep before the housing, mm: how much of it is seen. Shop rule. */
const EYE_TO_PEEP_MM = 130;
const PEEP_TO_HOUSING_MM = 750;
/** The picture is framed when the hole shows about as much as the housing is wide. */
const LEAST_SEEN = 0.7;

export const peepPins: KitRule = {
  id: 'peep-pins',
  name: 'Peep frames the housing',
  slots: ['peep', 'sight'],
  hard: false,
  inPackages: 'orCaution',
  check({ kit }) {
    const [peep, sight] = [itemOf(kit, 'peep'), itemOf(kit, 'sight')];
    if (!peep || !sight) return cannotTell('hole or housing of an own part; look through');
    // With one pin in the middle the eye centres the pin; with several it centres the housing.
    if (sight.attrs.pins === 1) return fits;
    const seen = (peep.attrs.apertureMm * (EYE_TO_PEEP_MM + PEEP_TO_HOUSING_MM)) / EYE_TO_PEEP_MM;
    const across = 2 * sight.attrs.housingRadiusMm;
    return seen >= LEAST_SEEN * across
      ? fits
      : doesNotFit(
          `through ${peep.attrs.apertureMm} mm about ${seen.toFixed(0)} mm is seen, the housing with its ${sight.attrs.pins} pins is ${across} mm wide`,
        );
  },
};
