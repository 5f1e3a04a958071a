/** A signal as it arrives at a radio’s socket. */
export interface Arriving {
  levelDbm: number
  /** Beside the channel the radio is switched to, Hz. */
  offsetHz: number
  /** Noise of its generator that falls into the channel, dB below it; null: none. */
  noiseBelowDb: number | null
}

/** What a receiver of known truth hears. */
export interface VirtualHearing {
  /** Level at which carrier and noise are equal, dBm. */
  equalDbm: number
  /** What the audio gains above the threshold, dB. */
  gainDb: number
  /** Where it hears best beside its channel, Hz. */
  tunedHz: number
  /** What a signal must be above the 12 dB level in the channel below and above, to bring 3 dB more back to 12. */
  rejectionDb: { lower: number; upper: number }
  /** The same of a carrier far away, whatever the channels in between: a megahertz below and above. */
  blockingDb: { below: number; above: number }
  /** Where its squelch opens and closes, dBm. */
  squelchDbm: { open: number; close: number }
}

/** Its own distortion ends the curve here, dB. */
const CEILING_DB = 36
/** What a kilohertz beside the middle costs in a channel of 12.5 kHz, dB; it goes with the square. */
const OFF_TUNE_DB = 5.5
/** Clicks below the threshold. */
const CLICKS = 4

/**
 * SINAD above noise and clicks: ρ is carrier to noise; the audio of a carrier above the threshold gains on it, below
 * it noise takes over. The shape is Rice’s of clicks in FM, with a distortion of the receiver’s own.
 */
export function sinadOfRatio(hearing: Pick<VirtualHearing, 'gainDb'>, ratio: number): number {
  if (ratio <= 0) return 0
  const noise = noiseOfRatio(hearing, ratio) / heldOfRatio(ratio) ** 2
  return 10 * Math.log10(1 + 1 / (noise + 10 ** (-CEILING_DB / 10)))
}

/** Noise and clicks beside a full tone, parts of its power. */
export function noiseOfRatio({ gainDb }: Pick<VirtualHearing, 'gainDb'>, ratio: number): number {
  return 1 / (10 ** (gainDb / 10) * ratio) + CLICKS * Math.exp(-ratio)
}

/** What is left of a tone, parts of its volts: below the threshold noise captures the discriminator. */
export function heldOfRatio(ratio: number): number {
  return 1 - Math.exp(-ratio)
}

/** Level at which a receiver that is tuned right comes to a SINAD, dBm, by halving. */
export function levelForSinad(hearing: Pick<VirtualHearing, 'equalDbm' | 'gainDb'>, sinadDb: number): number {
  let [low, high] = [hearing.equalDbm - 10, hearing.equalDbm + 60]
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2
    if (sinadOfRatio(hearing, milliwatts(middle - hearing.equalDbm)) < sinadDb) low = middle
    else high = middle
  }
  return high
}

/** What a signal so far beside the middle of a channel loses, dB. */
export function lostOffTuneDb(offHz: number, spacingHz: number): number {
  return OFF_TUNE_DB * (offHz / 1000) ** 2 * (12_500 / spacingHz) ** 2
}

/** What arrives at a receiver at once. */
export interface ArrivingTogether {
  wanted: Arriving | null
  interferer: Arriving | null
  spacingHz: number
}

/** SINAD of a wanted signal, an interfering one beside it or none, dB. */
export function heardSinad(hearing: VirtualHearing, arriving: ArrivingTogether): number {
  return sinadOfRatio(hearing, heardRatio(hearing, arriving))
}

/** Carrier to noise of a wanted signal as a receiver gets it; nought where there is none. */
export function heardRatio(
  hearing: VirtualHearing,
  { wanted, interferer, spacingHz }: ArrivingTogether,
): number {
  if (!wanted) return 0
  const noiseMw = milliwatts(hearing.equalDbm) + disturbanceMw(hearing, interferer, spacingHz)
  const lostDb = lostOffTuneDb(wanted.offsetHz - hearing.tunedHz, spacingHz)
  return milliwatts(wanted.levelDbm - lostDb) / noiseMw
}

/** What of a signal in a neighbour channel falls into the own one, mW. */
function disturbanceMw(hearing: VirtualHearing, interferer: Arriving | null, spacingHz: number): number {
  if (!interferer) return 0
  const { rejectionDb, blockingDb, tunedHz } = hearing
  const isBelow = interferer.offsetHz < tunedHz
  const channels = Math.max(1, Math.abs(interferer.offsetHz - tunedHz) / spacingHz)
  const filterDb = rejectionDb[isBelow ? 'lower' : 'upper'] + FURTHER_DB * (channels - 1)
  // Far away the filter is past all doubt: there a front end is driven until it makes noise of its own.
  const asideDb = Math.min(filterDb, blockingDb[isBelow ? 'below' : 'above'])
  // At the rejection above the 12 dB level it is as strong as the noise: so 3 dB more of the wanted are just 12 dB.
  const asNoiseDbm = levelForSinad(hearing, 12) + asideDb
  const through = milliwatts(interferer.levelDbm - asNoiseDbm + hearing.equalDbm)
  const { noiseBelowDb } = interferer
  return through + (noiseBelowDb === null ? 0 : milliwatts(interferer.levelDbm - noiseBelowDb))
}

/** What every further channel adds, dB. */
const FURTHER_DB = 3

function milliwatts(dbm: number): number {
  return 10 ** (dbm / 10)
}
