import { tracePeaks } from '../../format'
import { pointsFor } from '../../link'
import type { TracePoints } from '../../review'
import {
  CARRIER_POWER_ID,
  CARRIER_SLOT,
  HARMONICS_ID,
  HIGHEST_HARMONIC,
  levelFromPeak,
  type TakenTrace,
} from '../../station'
import { INSTRUMENT_ROLE, type Step, stepReach } from '../../step'
import type { DemoTaker } from '../demoTaker'
import { transmitterTruth } from '../truth/transmitters'
import { type DemoTaking, stepsAt } from './taking'

const TRACE_ID = 'demo-trace-trek-b'
const TRACE_FILE = 'trek2-b-146520-high.csv'
const KEYED = { radio: 'keyed' } as const

/** Carrier power and harmonics of every radio on its channels that are no sideband. */
export const takePowerAndHarmonics: DemoTaking = (taker, sets) => {
  for (const set of sets) {
    for (const step of stepsAt(CARRIER_POWER_ID, set, taker)) if (!isSsb(step)) readPower(taker, step)
    for (const step of stepsAt(HARMONICS_ID, set, taker)) if (!isSsb(step)) readHarmonics(taker, step)
  }
}

/** Carrier power in SSB, read last. */
export const takeSsbPower: DemoTaking = (taker, sets) => {
  for (const set of sets)
    for (const step of stepsAt(CARRIER_POWER_ID, set, taker)) if (isSsb(step)) readPower(taker, step)
}

function isSsb({ band }: Step): boolean {
  return band.mode === 'SSB'
}

/** A channel the scenario says nothing of is left unmeasured. */
function readPower(taker: DemoTaker, step: Step): void {
  const channels = [...step.band.channels].sort((a, b) => a.frequencyHz - b.frequencyHz)
  const powers = transmitterTruth[step.set.id]?.powerW[step.band.id]?.[step.setting.level.id]
  if (powers?.[channels.findIndex(({ id }) => id === step.channel.id)]) taker.level(step, CARRIER_SLOT, KEYED)
}

/** As far down as the scenario says something: what comes after is left open. */
function readHarmonics(taker: DemoTaker, step: Step): void {
  const levels = transmitterTruth[step.set.id]?.harmonicsDbm[step.band.id]?.[step.setting.level.id]
  if (!levels) return
  if (step.set.id === 'trek-b' && step.band.id === '2m' && step.setting.level.id === 'high')
    return readTrace(taker, step)
  for (const slot of step.slots.slice(0, levels.length + 1))
    if (stepReach(step, slot, taker.context).covered) taker.level(step, slot.id, KEYED)
}

function readTrace(taker: DemoTaker, step: Step): void {
  const { chain, instrument } = taker.benchOf(step)
  if (instrument.kind !== 'spectrum-analyser') return
  const points = sweep(taker, step, instrument)
  const taken = {
    resolutionBandwidthHz: instrument.resolutionBandwidthHz,
    keepsHighest: false,
  }
  const peaks = tracePeaks(points, {
    carrierHz: step.channel.frequencyHz,
    highestHarmonic: HIGHEST_HARMONIC,
    ...taken,
  })
  taker.tracePoints.set(TRACE_ID, points)
  taker.traces.push({
    id: TRACE_ID,
    setId: step.set.id,
    stepId: step.id,
    fileName: TRACE_FILE,
    sha256: '',
    pointCount: points.frequenciesHz.length,
    fromHz: points.frequenciesHz[0] ?? 0,
    toHz: points.frequenciesHz.at(-1) ?? 0,
    ...taken,
    floorDbm: peaks.floorDbm,
    chainId: chain.id,
    at: taker.now(),
  })
  const source = { kind: 'file' as const, fileName: TRACE_FILE, sha256: '', traceId: TRACE_ID }
  keepPeaks(taker, step, { peaks, ...taken, detection: null, moment: 'settled', source })
}

/** A sweep of all the analyser reaches, levels to a tenth of a decibel as its file has them. */
function sweep(
  taker: DemoTaker,
  step: Step,
  {
    fromHz,
    toHz,
    resolutionBandwidthHz: bandwidthHz,
  }: { fromHz: number; toHz: number; resolutionBandwidthHz: number },
): TracePoints {
  const spanHz = toHz - fromHz
  const points = pointsFor(spanHz, bandwidthHz)
  const levels = taker.stand.askAt(step, INSTRUMENT_ROLE, {
    does: KEYED,
    phrase: 'read-trace',
    values: { centreHz: (fromHz + toHz) / 2, spanHz, bandwidthHz, points },
  })
  return {
    frequenciesHz: Float64Array.from(levels, (_level, i) => Math.round(fromHz + (i * spanHz) / (points - 1))),
    levelsDbm: Float64Array.from(levels, level => Math.round(10 * level) / 10),
  }
}

function keepPeaks(taker: DemoTaker, step: Step, taken: TakenTrace): void {
  for (const peak of taken.peaks.peaks) {
    const level = levelFromPeak(step.slots, peak, taken)
    if (level)
      taker.keepLevel(step, {
        slot: level.slotId,
        text: level.text,
        frequencyHz: level.seen.frequencyHz,
        bareUnit: 'dBm',
        trace: { traceFloorDbm: level.seen.traceFloorDbm, doubt: level.seen.doubt },
        source: taken.source,
      })
  }
}
