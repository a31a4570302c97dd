/** Density used when nothing is known: 15 °C, 1013.25 hPa, dry. */
export const STANDARD_AIR_DENSITY_KG_M3 = 1.225;

export interface AirConditions {
  /** −40 to 60. */
  readonly temperatureC: number;
  /** 500 to 1100. */
  readonly pressureHpa: number;
  /** Relative humidity, 0 to 1. */
  readonly humidity: number;
}

const DRY_AIR_J_PER_KG_K = 287.058;
const VAPOUR_J_PER_KG_K = 461.495;

/**
 * Density of moist air, kg/m³: ideal gas mixture with the Magnus formula for the saturation
 * pressure (WMO Guide to Instruments, No. 8, annex 4.B). Within 0.1 % at −20 to 45 °C.
 */
export function airDensity({ temperatureC, pressureHpa, humidity }: AirConditions): number {
  const kelvin = temperatureC + 273.15;
  const saturationPa = 611.2 * Math.exp((17.62 * temperatureC) / (243.12 + temperatureC));
  const vapourPa = humidity * saturationPa;
  const dryPa = pressureHpa * 100 - vapourPa;
  return dryPa / (DRY_AIR_J_PER_KG_K * kelvin) + vapourPa / (VAPOUR_J_PER_KG_K * kelvin);
}
