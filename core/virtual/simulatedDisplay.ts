import type { PowerMeter, SpectrumAnalyser } from '../chain'
import { dbmFromWatts, wattsFromDbm } from '../quantity'

/** An analyser of known truth: what it is off by, and where its noise really lies. */
export interface TrueAnalyser {
  levelErrorDb: number
  floorDbm: number
}

/** Draws an analyser from what is stated of it. */
export function drawAnalyser(analyser: SpectrumAnalyser, random: () => number): TrueAnalyser {
  const uniform = (width: number) => width * (2 * random() - 1)
  const flat =
    analyser.flatnessDb === null
      ? analyser.amplitudeAccuracyDb
      : Math.min(analyser.flatnessDb, analyser.amplitudeAccuracyDb)
  return {
    levelErrorDb: uniform(analyser.amplitudeAccuracyDb - flat),
    floorDbm: analyser.floorDbm + uniform(analyser.floorDoubtDb),
  }
}

/** What an analyser shows of a level at its input, dBm: its errors, its noise, its last digit. */
export function displayedDbm(
  analyser: SpectrumAnalyser,
  truth: TrueAnalyser,
  inputDbm: number,
  random: () => number,
): number {
  const flat =
    analyser.flatnessDb === null
      ? analyser.amplitudeAccuracyDb
      : Math.min(analyser.flatnessDb, analyser.amplitudeAccuracyDb)
  const shownDbm = inputDbm - truth.levelErrorDb - flat * (2 * random() - 1)
  return roundTo(10 * Math.log10(10 ** (shownDbm / 10) + 10 ** (truth.floorDbm / 10)), analyser.resolution)
}

/** What a power meter shows of a level at its input, W. “± p % of reading” means of what it shows. */
export function displayedW(meter: PowerMeter, inputDbm: number, random: () => number): number {
  const share = (meter.accuracyPercent / 100) * (2 * random() - 1)
  const inputW = wattsFromDbm(inputDbm)
  return roundTo(
    meter.accuracyOf === 'reading' ? inputW / (1 + share) : inputW - share * meter.fullScaleW,
    meter.resolution,
  )
}

/** The same, in dBm. */
export function displayedMeterDbm(meter: PowerMeter, inputDbm: number, random: () => number): number {
  return dbmFromWatts(displayedW(meter, inputDbm, random))
}

function roundTo(value: number, step: number): number {
  return step === 0 ? value : Math.round(value / step) * step
}
