import { InputError, requireNotNegative, requirePositive } from '../../base/error/index.ts';

/** A wet surface in a room. */
export interface WetSurface {
  readonly areaM2: number;
  readonly waterG: number;
  readonly temperatureC: number;
  readonly humidityPct: number;
  /** Of the air over it. */
  readonly airMS: number;
}

/**
 * The shortest time in which the water of a wet film leaves, and how fast it goes.
 *
 * Law: W = A (p_w - p_a)(0.089 + 0.0782 V) / Y, kg/s, kPa, m/s, kJ/kg (ASHRAE, of open water, from memory); p_w by Magnus
 * 0.6112 exp(17.62 T / (243.12 + T)); Y = 2501 - 2.36 T. Paint dries slower as it thickens and skins over.
 *
 * @throws InputError naming the field; at 100 % humidity nothing dries
 * @example evaporation({ areaM2: 1, waterG: 180, temperatureC: 20, humidityPct: 50, airMS: 0 }) // { gramsPerHour: 152.29 }
 */
export function evaporation({ areaM2, waterG, temperatureC, humidityPct, airMS }: WetSurface): {
  readonly seconds: number;
  readonly gramsPerHour: number;
} {
  requirePositive('areaM2', areaM2, 'The area');
  requirePositive('waterG', waterG, 'The water');
  requireNotNegative('airMS', airMS, 'The speed of the air');
  if (!(temperatureC >= 0 && temperatureC <= 60)) {
    throw new InputError('temperatureC', 'The room lies between 0 and 60 °C.');
  }
  if (!(humidityPct >= 0 && humidityPct < 100)) {
    throw new InputError('humidityPct', 'At 100 % humidity nothing dries: give 0 to below 100 %.');
  }
  const saturatedKPa = 0.6112 * Math.exp((17.62 * temperatureC) / (243.12 + temperatureC));
  const dryness = saturatedKPa * (1 - humidityPct / 100);
  const latent = 2501 - 2.36 * temperatureC;
  const gramsPerSecond = (1000 * areaM2 * dryness * (0.089 + 0.0782 * airMS)) / latent;
  return { seconds: waterG / gramsPerSecond, gramsPerHour: 3600 * gramsPerSecond };
}

/** A room as most are, and still air. */
export const USUAL_ROOM = { temperatureC: 20, humidityPct: 50, airMS: 0 } as const;
/** Paints and media are about so much water, by mass (common practice). */
export const WATER_SHARE = 0.6;

/**
 * Seconds in which a sheet of paint loses its water in a room.
 *
 * @example sheetDriesSeconds(0.3, 1.1) // 4681
 */
export const sheetDriesSeconds = (
  thicknessMm: number,
  densityGPerMl: number,
  room: Pick<WetSurface, 'temperatureC' | 'humidityPct' | 'airMS'> = USUAL_ROOM,
): number =>
  evaporation({ areaM2: 1, waterG: WATER_SHARE * 1000 * thicknessMm * densityGPerMl, ...room }).seconds;
