import { chainLossAt, type Chain, type Instrument, pinsOf } from '../chain'
import { CoreError } from '../errors'
import { type HarmonicPeak, traceDoubt, tracePeaks } from '../format'
import { dbmFromWatts, parseLevel, wattsFromDbm } from '../quantity'
import {
  type Reading,
  type ReadingSource,
  type RadioSet,
  type Review,
  type ReviewBundle,
  newReview,
  type TracePoints,
} from '../review'
import {
  HIGHEST_HARMONIC,
  stationById,
  stationContext,
  type StationContext,
  type Step,
  stepReach,
} from '../station'
import { demoCalibrations, demoControlChecks, demoOtherFigures, demoPadTests } from './demoBelievability'
import { demoChains, demoInstruments } from './demoBench'
import { demoFigures } from './demoFigures'
import { demoSets } from './demoSets'
import { demoTrace } from './demoTrace'
import { demoTruth } from './demoTruth'
import { seededRandom } from '../virtual'

/** Id of the demo review; opening the demo again brings this one back. */
export const DEMO_REVIEW_ID = 'demo-fell-race'

const SEED = 20261114
const BEGAN = '2026-11-14T09:12:00.000Z'
const SECONDS_PER_READING = 41
const TRACE_ID = 'demo-trace-trek-b'

/**
 * The demo review “Fell-race marshals’ handhelds”: invented radios measured on an invented bench, the
 * readings drawn from a known truth with a fixed seed. Every call gives the same review.
 */
export function demoReview(): ReviewBundle {
  const fresh = newReview({ id: DEMO_REVIEW_ID, title: 'Fell-race marshals’ handhelds', at: BEGAN })
  const review: Review = {
    ...fresh,
    settings: {
      ...fresh.settings,
      yardstickId: 'good-practice',
      ambientC: 18,
      alsoStations: ['power-over-time', 'off-air', 'two-tone'],
      offAirGeometry:
        'Village hall, radio held at 1.2 m as in use, receive antenna on a stand 2 m away at the same height, upright; same places for all radios.',
    },
    purpose:
      'A mountain race needs radios for forty marshals. Which of these may be keyed on 2 m with a clear conscience, and do they make the power on the box? All names and figures are invented.',
    reviewer: 'Demo bench',
    sets: structuredCopy(demoSets),
    instruments: structuredCopy(demoInstruments),
    chains: structuredCopy(demoChains).map(chain => ({
      ...chain,
      parts: chain.parts.map(part => ({
        ...part,
        calibrationId: demoCalibrations.find(({ partId }) => partId === part.id)?.id ?? null,
      })),
    })),
    calibrations: structuredCopy(demoCalibrations),
    padTests: structuredCopy(demoPadTests),
    controlChecks: structuredCopy(demoControlChecks),
    otherFigures: structuredCopy(demoOtherFigures),
  }
  const context = stationContext(review)
  const bench = new DemoBench(context)
  for (const set of review.sets) {
    for (const step of stationById('carrier-power').plan(set, context))
      if (step.band.mode !== 'SSB') bench.readPower(step)
    for (const step of stationById('harmonics').plan(set, context)) {
      if (step.band.mode === 'SSB') continue
      if (set.id === 'trek-b' && step.band.id === '2m' && step.level.id === 'high')
        bench.readHarmonicsFromTrace(step)
      else bench.readHarmonics(step)
    }
  }
  for (const set of review.sets)
    for (const step of stationById('carrier-power').plan(set, context))
      if (step.band.mode === 'SSB') bench.readPower(step)
  const more = demoFigures(context, bench)
  review.readings = bench.readings
  review.figures = more.figures
  review.curves = more.curves
  review.keyDowns = more.keyDowns
  review.notes = more.notes
  review.traces = bench.traces
  review.updatedAt = bench.readings.at(-1)?.at ?? BEGAN
  return { review, traces: bench.points, curves: more.points, pictures: new Map() }
}

/**
 * Takes the demo's readings one after another: truth through the chain, a little off, rounded as displayed.
 */
export class DemoBench {
  readonly readings: Reading[] = []
  readonly traces: Review['traces'] = []
  readonly points = new Map<string, TracePoints>()
  private readonly random = seededRandom(SEED)

  constructor(private readonly context: StationContext) {}

  readPower(step: Step): void {
    const channels = [...step.band.channels].sort((a, b) => a.frequencyHz - b.frequencyHz)
    const truthW =
      demoTruth[step.set.id]?.powerW[step.band.id]?.[step.level.id]?.[
        channels.findIndex(channel => channel.id === step.channel.id)
      ]
    if (truthW === undefined || truthW === null) return
    const seen = this.throughChain(
      step,
      { frequencyHz: step.channel.frequencyHz, levelDbm: dbmFromWatts(truthW) },
      0.06,
    )
    if (seen !== null)
      this.keep(
        step,
        {
          slot: 'carrier',
          text: wattsFromDbm(seen).toFixed(2),
          frequencyHz: step.channel.frequencyHz,
          bareUnit: 'W',
        },
        { kind: 'demo' },
      )
  }

  readHarmonics(step: Step): void {
    for (const signal of this.signalsOf(step)) {
      const slot = step.slots[signal.harmonic - 1]!
      if (!stepReach(step, slot, this.context).covered) continue
      const seen = this.throughChain(step, signal, 0.4)
      if (seen !== null)
        this.keep(
          step,
          {
            slot: slot.id,
            text: seen.toFixed(1).replace('-', '−'),
            frequencyHz: slot.frequencyHz,
            bareUnit: 'dBm',
          },
          { kind: 'demo' },
        )
    }
  }

  readHarmonicsFromTrace(step: Step): void {
    const { chain, instrument } = this.benchOf(step)
    if (instrument.kind !== 'spectrum-analyser') return
    const points = demoTrace({
      chain,
      analyser: instrument,
      signals: this.signalsOf(step),
      random: this.random,
    })
    const found = tracePeaks(points, {
      carrierHz: step.channel.frequencyHz,
      highestHarmonic: HIGHEST_HARMONIC,
      resolutionBandwidthHz: instrument.resolutionBandwidthHz,
      keepsHighest: false,
    })
    const sha256 = ''
    const fileName = 'trek2-b-146520-high.csv'
    this.points.set(TRACE_ID, points)
    this.traces.push({
      id: TRACE_ID,
      setId: step.set.id,
      stepId: step.id,
      fileName,
      sha256,
      pointCount: points.frequenciesHz.length,
      fromHz: points.frequenciesHz[0] ?? 0,
      toHz: points.frequenciesHz.at(-1) ?? 0,
      resolutionBandwidthHz: instrument.resolutionBandwidthHz,
      keepsHighest: false,
      floorDbm: found.floorDbm,
      chainId: chain.id,
      at: this.now(),
    })
    for (const line of found.peaks)
      if (line.peak)
        this.keep(
          step,
          {
            slot: `x${line.harmonic}`,
            text: line.peak.levelDbm.toFixed(1).replace('-', '−'),
            frequencyHz: line.peak.frequencyHz,
            bareUnit: 'dBm',
            floorDbm: found.floorDbm,
            fromPeak: line,
            resolutionBandwidthHz: instrument.resolutionBandwidthHz,
          },
          { kind: 'file', fileName, sha256, traceId: TRACE_ID },
        )
  }

  private signalsOf(step: Step): { harmonic: number; frequencyHz: number; levelDbm: number }[] {
    const truth = demoTruth[step.set.id]
    const levels = truth?.harmonicsDbm[step.band.id]?.[step.level.id]
    const powers = truth?.powerW[step.band.id]?.[step.level.id]
    const carrierW = powers?.[1] ?? powers?.[0]
    if (!levels || !carrierW) return []
    return [dbmFromWatts(carrierW), ...levels].map((levelDbm, index) => ({
      harmonic: index + 1,
      frequencyHz: (index + 1) * step.channel.frequencyHz,
      levelDbm,
    }))
  }

  private throughChain(
    step: Step,
    signal: { frequencyHz: number; levelDbm: number },
    spreadDb: number,
  ): number | null {
    const { chain, instrument } = this.benchOf(step)
    const loss = chainLossAt(chain, instrument, signal.frequencyHz)
    if (!loss.known) return null
    const off = (this.random() + this.random() + this.random() - 1.5) * spreadDb
    const signalMw = 10 ** ((signal.levelDbm - loss.lossDb + off) / 10)
    const noiseMw = instrument.kind === 'spectrum-analyser' ? 10 ** (instrument.floorDbm / 10) : 0
    return 10 * Math.log10(signalMw + noiseMw)
  }

  private benchOf(step: Step): { chain: Chain; instrument: Instrument } {
    const chain = this.context.chain(step.chainId)
    const instrument = chain && this.context.instrument(chain.instrumentId)
    if (!chain || !instrument)
      throw new CoreError('unknown-id', `The demo has no chain for ${step.id}.`, {
        kind: 'chain',
        id: step.chainId ?? '',
      })
    return { chain, instrument }
  }

  /** A level as the demo saw it in a slot of a step, dBm at the socket. */
  readLevel(step: Step, slot: string, levelDbm: number): void {
    const frequencyHz = step.slots.find(({ id }) => id === slot)?.frequencyHz ?? step.channel.frequencyHz
    const seen = this.throughChain(step, { frequencyHz, levelDbm }, 0.02)
    const inWatts = this.benchOf(step).instrument.kind === 'power-meter'
    if (seen !== null)
      this.keep(
        step,
        {
          slot,
          text: inWatts ? wattsFromDbm(seen).toFixed(2) : seen.toFixed(1).replace('-', '−'),
          frequencyHz,
          bareUnit: inWatts ? 'W' : 'dBm',
        },
        { kind: 'demo' },
      )
  }

  private keep(
    step: Step,
    seen: {
      slot: string
      text: string
      frequencyHz: number
      bareUnit: 'W' | 'dBm'
      floorDbm?: number
      fromPeak?: HarmonicPeak
      resolutionBandwidthHz?: number
    },
    source: ReadingSource,
  ): void {
    const read = parseLevel(seen.text, { bareUnit: seen.bareUnit })
    if (!read.ok)
      throw new CoreError('bad-review', `The demo reading “${seen.text}” cannot be read.`, {
        why: read.message,
      })
    const { chain, instrument } = this.benchOf(step)
    this.readings.push({
      id: `demo-${this.readings.length + 1}`,
      setId: step.set.id,
      stationId: step.stationId,
      stepId: step.id,
      slot: seen.slot,
      text: seen.text,
      value: read.value,
      unit: read.unit,
      levelDbm: read.levelDbm,
      resolutionDb: read.resolutionDb,
      isUpperBound: read.isUpperBound,
      frequencyHz: seen.frequencyHz,
      traceFloorDbm: seen.floorDbm ?? null,
      doubt: seen.fromPeak
        ? traceDoubt(seen.fromPeak, {
            resolutionBandwidthHz: seen.resolutionBandwidthHz ?? null,
            keepsHighest: false,
          })
        : null,
      instrumentId: instrument.id,
      chainId: chain.id,
      chainRevision: chain.revision,
      calibrationIds: pinsOf(chain),
      repeatsDbm: [],
      supply: step.set.supplyNow,
      ambientC: 18,
      who: 'Demo bench',
      at: this.now(),
      source,
      supersedes: null,
    })
  }

  now(): string {
    return new Date(Date.parse(BEGAN) + this.readings.length * SECONDS_PER_READING * 1000).toISOString()
  }
}

function structuredCopy<T>(value: readonly T[]): T[] {
  return JSON.parse(JSON.stringify(value)) as T[]
}

/** Names of the demo's sets, for tests that look for them on screen. */
export function demoSetIds(): RadioSet['id'][] {
  return demoSets.map(set => set.id)
}
