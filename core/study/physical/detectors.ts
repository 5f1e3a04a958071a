import { gaussianPair } from './gaussianPair'

/** How a display makes one level of a carrier in noise. */
export type Display =
  /** Mean power of so many independent looks. */
  | { shows: 'mean'; looks: number }
  /** One look. */
  | { shows: 'sample' }
  /** Mean of the decibels of so many looks: a video filter, or an average of sweeps on a logarithmic scale. */
  | { shows: 'logarithm'; looks: number }
  /** The highest of so many looks: a peak detector, or sweeps that are held. */
  | { shows: 'highest'; looks: number }

/**
 * What a display shows of a carrier in noise, dBm: each look is the carrier's voltage and a noise voltage of its own,
 * drawn one by one.
 * @param signalDbm - the carrier at the detector. @param noiseDbm - mean power of the noise in the filter.
 */
export function displayedInNoiseDbm(
  { signalDbm, noiseDbm }: { signalDbm: number; noiseDbm: number },
  display: Display,
  random: () => number,
): number {
  const carrier = 10 ** ((signalDbm - noiseDbm) / 20)
  const look = () => {
    const [x, y] = gaussianPair(random)
    return (carrier + x * Math.SQRT1_2) ** 2 + (y * Math.SQRT1_2) ** 2
  }
  const looks = Array.from({ length: display.shows === 'sample' ? 1 : display.looks }, look)
  return noiseDbm + decibelsOf(looks, display.shows)
}

function decibelsOf(looks: readonly number[], shows: Display['shows']): number {
  const mean = (values: readonly number[]) => values.reduce((sum, one) => sum + one, 0) / values.length
  switch (shows) {
    case 'mean':
      return 10 * Math.log10(mean(looks))
    case 'logarithm':
      return mean(looks.map(power => 10 * Math.log10(power)))
    case 'sample':
    case 'highest':
      return 10 * Math.log10(Math.max(...looks))
  }
}
