import type { Step } from '../../../step'
import { simulatedSweep } from '../../../virtual'

const POINTS = 201
/** How far past its channels a band is swept, as a share of the frequency. */
const BEYOND = 0.06

/** The sweep of a simulated antenna on a step’s band, as a one-port Touchstone file. */
export function simulatedTouchstone({ band, set, variant }: Step): string {
  const channels = band.channels.map(({ frequencyHz }) => frequencyHz)
  const [low, high] = [Math.min(...channels), Math.max(...channels)]
  const seed = set.id.length + (variant?.id.length ?? 0)
  const rows = simulatedSweep(
    {
      resonanceHz: ((low + high) / 2) * (1 - 0.004 * (seed % 5)),
      q: 9 + (seed % 4),
      resistanceOhm: 38 + seed,
      seed,
    },
    { fromHz: low * (1 - BEYOND), toHz: high * (1 + BEYOND), points: POINTS },
  )
  const lines = rows.map(
    ({ frequencyHz, re, im }) => `${frequencyHz.toFixed(0)} ${re.toFixed(6)} ${im.toFixed(6)}`,
  )
  return ['! simulated antenna', '# Hz S RI R 50', ...lines].join('\n')
}
