/**
 * Units of figures that are no level at an instrument. `mark`: something done, 1, or not, 0. `words`: something
 * written down, 1; what it says is the text of its reading.
 */
export const FIGURE_UNITS = [
  ...(['Hz', 'W', 'V', 'A', '°C', 'dB', 'dBm', 'm', 's', 'mark'] as const),
  ...(['h', 'Ah', 'Wh', '%', 'g', 'cm³', 'Wh/kg', 'Wh/l', 'VSWR', 'Ω', 'bars', 'of 3', 'words'] as const),
] as const
/** A unit a station’s figure may be in. */
export type FigureUnit = (typeof FIGURE_UNITS)[number]

/** Units a rulebook may state a figure in. */
export const SCALAR_UNITS = ['W', 'Hz', 'kHz', 'ppm', 'dB', 'dBm', 's'] as const
/** A unit a limit that is no power may be in. */
export type ScalarUnit = (typeof SCALAR_UNITS)[number]

/** Unit of a difference of two figures: what a budget, a range or a margin is in. */
export type DifferenceUnit = Exclude<FigureUnit, 'dBm'>

/** The unit of a difference of two figures of a unit: dB between levels, else the unit itself. */
export function differenceUnit(unit: FigureUnit): DifferenceUnit {
  return unit === 'dBm' ? 'dB' : unit
}
