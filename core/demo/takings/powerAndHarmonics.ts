import { tracePeaks } from '../../format'
import { dbmFromWatts, wattsFromDbm } from '../../quantity'
import {
  CARRIER_POWER_ID,
  CARRIER_SLOT,
  HARMONICS_ID,
  HIGHEST_HARMONIC,
  levelFromPeak,
  type TakenTrace,
} from '../../station'
import { type Step, stepReach } from '../../step'
import { decibelText, type DemoTaker } from '../demoTaker'
import { demoTrace } from '../demoTrace'
import { type DemoTaking, stepsAt } from './taking'
import { transmitterTruth } from './transmitterTruth'

const TRACE_ID = 'demo-trace-trek-b'
const TRACE_FILE = 'trek2-b-146520-high.csv'

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

function readPower(taker: DemoTaker, step: Step): void {
  const channels = [...step.band.channels].sort((a, b) => a.frequencyHz - b.frequencyHz)
  const powers = transmitterTruth[step.set.id]?.powerW[step.band.id]?.[step.setting.level.id]
  const truthW = powers?.[channels.findIndex(({ id }) => id === step.channel.id)]
  if (truthW === undefined || truthW === null) return
  const { frequencyHz } = step.channel
  const seen = taker.shown(step, { frequencyHz, levelDbm: dbmFromWatts(truthW) }, 0.06)
  if (seen !== null)
    taker.keepLevel(step, {
      slot: CARRIER_SLOT,
      text: wattsFromDbm(seen).toFixed(2),
      frequencyHz,
      bareUnit: 'W',
    })
}

function readHarmonics(taker: DemoTaker, step: Step): void {
  if (step.set.id === 'trek-b' && step.band.id === '2m' && step.setting.level.id === 'high')
    return readTrace(taker, step)
  for (const signal of signalsOf(step)) {
    const slot = step.slots[signal.harmonic - 1]!
    if (!stepReach(step, slot, taker.context).covered) continue
    const seen = taker.shown(step, signal, 0.4)
    if (seen !== null)
      taker.keepLevel(step, {
        slot: slot.id,
        text: decibelText(seen),
        frequencyHz: slot.frequencyHz,
        bareUnit: 'dBm',
      })
  }
}

function readTrace(taker: DemoTaker, step: Step): void {
  const { chain, instrument } = taker.benchOf(step)
  if (instrument.kind !== 'spectrum-analyser') return
  const points = demoTrace({
    chain,
    analyser: instrument,
    signals: signalsOf(step),
    random: taker.random,
  })
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

interface Signal {
  harmonic: number
  frequencyHz: number
  levelDbm: number
}

/** The carrier and its harmonics at the socket, as they truly are. */
function signalsOf(step: Step): Signal[] {
  const truth = transmitterTruth[step.set.id]
  const levels = truth?.harmonicsDbm[step.band.id]?.[step.setting.level.id]
  const powers = truth?.powerW[step.band.id]?.[step.setting.level.id]
  const carrierW = powers?.[1] ?? powers?.[0]
  if (!levels || !carrierW) return []
  return [dbmFromWatts(carrierW), ...levels].map((levelDbm, index) => ({
    harmonic: index + 1,
    frequencyHz: (index + 1) * step.channel.frequencyHz,
    levelDbm,
  }))
}
