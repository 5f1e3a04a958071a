import type { Chain, Instrument, SpectrumAnalyser } from '../chain'
import { entryOf } from '../cache'
import { printDb, printDbm } from '../quantity'
import type { SeenLevel } from '../review'
import {
  ASSUMED_MEAN_OF,
  contribution,
  type Contribution,
  CORRECT_BELOW_DB,
  type Detection,
  displayEffect,
  floorEffect,
  meanScatterDb,
} from '../uncertainty'

/** What the noise was taken for. */
interface WithoutNoise {
  correctionDb: number
  isUpperBound: boolean
  /** The very same list where it is the same. */
  lines: readonly Contribution[]
}

/** What noise leaves open of readings through one path, by name: few lists, shared by many readings. */
export type NoiseLines = Map<string, readonly Contribution[]>

/** A reading of an instrument behind a chain. */
interface Displayed {
  seen: SeenLevel
  chain: Chain
  instrument: Instrument
  /** What the display would show without an offset typed on the instrument, dBm. */
  displayed: number
  known: NoiseLines
}

/** What noise leaves open where it does not matter. */
export const NO_LINES: readonly Contribution[] = []

/** How a level was shown: as its trace says, else as its instrument does; null where no analyser showed it. */
export function detectionOf(seen: SeenLevel, instrument: Instrument): Detection | null {
  return instrument.kind === 'spectrum-analyser' ? (seen.detection ?? instrument.detection) : null
}

/** Takes the analyser’s noise off a reading, or calls it an upper bound; what was done is added to the notes. */
export function withoutNoise(reading: Displayed, notes: string[]): WithoutNoise {
  const { seen, instrument } = reading
  if (instrument.kind !== 'spectrum-analyser' || seen.isUpperBound)
    return { correctionDb: 0, isUpperBound: seen.isUpperBound, lines: NO_LINES }
  const detection = seen.detection ?? instrument.detection
  return detection.shows === 'mean'
    ? withoutMeanNoise(reading, instrument, detection, notes)
    : underDisplay(reading, instrument, detection, notes)
}

interface Floor {
  floorDbm: number
  /** The trace’s own floor, as its display shows noise. */
  isTraces: boolean
}

function floorOf({ seen, chain }: Displayed, { floorDbm }: SpectrumAnalyser): Floor {
  const traces = seen.traceFloorDbm === null ? -Infinity : seen.traceFloorDbm - chain.offsetOnInstrumentDb
  return { floorDbm: Math.max(floorDbm, traces), isTraces: traces > floorDbm }
}

function withoutMeanNoise(
  reading: Displayed,
  instrument: SpectrumAnalyser,
  { looks }: Detection,
  notes: string[],
): WithoutNoise {
  const { displayed, known } = reading
  const { floorDbm } = floorOf(reading, instrument)
  const floor = floorEffect({ readingDbm: displayed, floorDbm, floorDoubtDb: instrument.floorDoubtDb })
  addNotes(floor, { aboveFloorDb: floor.aboveFloorDb, floorDbm }, notes)
  if (floor.isUpperBound) return { correctionDb: 0, isUpperBound: true, lines: NO_LINES }
  const { aboveFloorDb, remainderDb } = floor
  const scatterDb = meanScatterDb(aboveFloorDb, looks ?? ASSUMED_MEAN_OF)
  return {
    correctionDb: floor.correctionDb,
    isUpperBound: false,
    lines:
      remainderDb >= EVEN_BELOW_DB
        ? [unevenFloor(remainderDb, aboveFloorDb), ...scatterLines(scatterDb)]
        : evenLines({ remainderDb, scatterDb }, known),
  }
}

/** A display of any other kind: its own law, or the widest where nobody knows which. */
function underDisplay(
  reading: Displayed,
  instrument: SpectrumAnalyser,
  detection: Detection,
  notes: string[],
): WithoutNoise {
  const { floorDbm, isTraces } = floorOf(reading, instrument)
  const aboveDb = reading.displayed - floorDbm
  const effect = displayEffect(detection, {
    aboveDb,
    floorDoubtDb: instrument.floorDoubtDb,
    from: isTraces ? 'display' : 'mean-power',
  })
  addNotes(effect, { aboveFloorDb: aboveDb, floorDbm }, notes)
  if (detection.shows === 'unknown' && effect.lines.length > 0)
    notes.push('Nobody said how this display shows a level in noise: the range allows for every usual way.')
  return effect
}

function addNotes(
  { isUpperBound, correctionDb }: { isUpperBound: boolean; correctionDb: number },
  { aboveFloorDb, floorDbm }: { aboveFloorDb: number; floorDbm: number },
  notes: string[],
): void {
  if (isUpperBound)
    notes.push(
      `${aboveFloorDb < 3 ? 'Within 3 dB of' : `Only ${printDb(aboveFloorDb)} above`} the noise at ` +
        `${printDbm(floorDbm, 0)}: the true level is at most this.`,
    )
  else if (aboveFloorDb < CORRECT_BELOW_DB)
    notes.push(
      `Stands ${printDb(aboveFloorDb)} above the noise; ${printDb(correctionDb, 2)} of noise taken off.`,
    )
}

/** Noise that matters less than this, ± dB, is left out of the budget. */
const SMALLEST_NOISE_DB = 0.003

/** Under this, ± dB, what the noise leaves open is even to 0.01 dB, and is rounded up to a hundredth. */
const EVEN_BELOW_DB = 0.1

const NOISE = { id: 'floor', group: 'floor', label: 'Noise floor' } as const

function unevenFloor(remainderDb: number, aboveFloorDb: number): Contribution {
  return contribution({
    ...NOISE,
    distribution: 'noise-removed',
    halfWidth: remainderDb,
    parameter: aboveFloorDb,
  })
}

/** Even noise: as few lists as hundredths of a decibel. */
function evenLines(
  { remainderDb, scatterDb }: { remainderDb: number; scatterDb: number },
  known: NoiseLines,
): readonly Contribution[] {
  const floor = remainderDb < SMALLEST_NOISE_DB ? 0 : Math.ceil(100 * remainderDb)
  const scatter = inHundredths(scatterDb)
  if (floor === 0 && scatter === 0) return NO_LINES
  return entryOf(known, `${floor}/${scatter}`, () => [
    ...(floor > 0 ? [contribution({ ...NOISE, distribution: 'rectangular', halfWidth: floor / 100 })] : []),
    ...scatterLines(scatterDb),
  ])
}

/** Scatter that matters less than this, dB, is left out; the rest is rounded up to a hundredth. */
const SMALLEST_SCATTER_DB = 0.02
const inHundredths = (scatterDb: number) => (scatterDb < SMALLEST_SCATTER_DB ? 0 : Math.ceil(100 * scatterDb))

function scatterLines(scatterDb: number): Contribution[] {
  const hundredths = inHundredths(scatterDb)
  if (hundredths === 0) return []
  return [
    contribution({
      id: 'display',
      group: 'display',
      label: 'Scatter of the display',
      distribution: 'normal',
      halfWidth: hundredths / 50,
    }),
  ]
}
