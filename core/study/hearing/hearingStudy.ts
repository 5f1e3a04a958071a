import { createContext, createSharedWork } from '../../context'
import { newBand, newChannel, newRadioSet, newReview, type Review } from '../../review'
import type { FftEngine } from '../../signal'
import { stationById } from '../../station'
import { type Found, slotOf } from '../../step'
import { type HearingBench, type HearingKind, hearingKinds } from './hearingKinds'
import { type PoolLevels, poolOf, POOLED_RECEIVERS, type PooledReceiver } from './receiverPool'

/** How one kind of bench that hears came out. */
export interface HearingRow {
  kind: string
  stationId: string
  title: string
  figure: HearingKind['figure']
  benches: number
  /** Benches whose figure was not what the kind is about, or none. */
  left: number
  /** Share of stated 95 % ranges that hold the truth. */
  share: number
  meanRangeDb: number
}

/** How many benches, from which randomness. */
export interface HearingOptions {
  benches: number
  /** Seconds each pooled receiver is listened to at each level. */
  secondsEach: number
  seed: number
  randomFrom: (seed: number) => () => number
  engine: FftEngine
  /** Receivers and levels; all of them by default. */
  receivers?: number
  levels?: PoolLevels
  onProgress?: (words: string) => void
}

const AT = '2026-11-24T00:00:00.000Z'

/**
 * Simulates benches that hear, whose truth is known, and asks the product for the range of each. The receivers
 * are simulated at I/Q level: clicks come by themselves.
 */
export function hearingStudy(options: HearingOptions): HearingRow[] {
  const { benches, seed, randomFrom, onProgress } = options
  const listened = POOLED_RECEIVERS.slice(0, options.receivers ?? POOLED_RECEIVERS.length)
  const pools = listened.map((receiver, index) => {
    onProgress?.(`listening to receiver ${index + 1} of ${listened.length}`)
    return poolOf(receiver, { ...options, random: randomFrom(seed + index) })
  })
  const rows = hearingKinds.map((kind, index) => {
    onProgress?.(kind.title)
    return rowOf(kind, pools, { benches, random: randomFrom(seed + 101 * (index + 1)) })
  })
  return [...rows, liveRow(pools)]
}

function rowOf(
  kind: HearingKind,
  pools: readonly PooledReceiver[],
  { benches, random }: { benches: number; random: () => number },
): HearingRow {
  let [held, used, rangeDb] = [0, 0, 0]
  const frame = frameReview()
  for (let i = 0; i < benches; i++) {
    const bench = kind.draw(pools[i % pools.length]!, random)
    const found = foundAt(kind, bench, frame)
    if (!found || found.isBound !== (kind.figure === 'bound')) continue
    used++
    rangeDb += found.found.budget.range
    if (holds(found.found, bench.trueValue, kind.figure)) held++
  }
  return {
    kind: kind.id,
    stationId: kind.stationId,
    title: kind.title,
    figure: kind.figure,
    benches: used,
    left: benches - used,
    share: held / used,
    meanRangeDb: rangeDb / used,
  }
}

/** A lower bound holds where the truth is not below its range. */
function holds({ value, budget }: Found, truth: number, figure: HearingKind['figure']): boolean {
  const error = truth - value
  return error >= budget.low && (figure === 'bound' || error <= budget.high)
}

function foundAt(
  kind: HearingKind,
  { instruments, chains, readings }: HearingBench,
  frame: Review,
): { found: Found; isBound: boolean } | null {
  const set = { ...frame.sets[0]!, chains: chosenFor(chains.length) }
  const context = createContext({ ...frame, sets: [set], instruments, chains, readings }, createSharedWork())
  const station = stationById(kind.stationId)
  const [step] = station.plan(set, context)
  const slot = step && slotOf(station.evaluate(step, context), kind.slotId)
  return slot?.found
    ? { found: slot.found, isBound: slot.verdict.isBound || slot.words.startsWith('At least') }
    : null
}

function chosenFor(count: number): Review['sets'][number]['chains'] {
  return count < 2
    ? {}
    : {
        neighbour: { generator: 'gen', interferer: 'other' },
        'strong-signals': { generator: 'gen', interferer: 'other' },
      }
}

/** Single seconds of live audio against what the receiver shows on average. */
function liveRow(pools: readonly PooledReceiver[]): HearingRow {
  const all = pools.flatMap(({ seconds, meansDb }) =>
    seconds.filter((_list, i) => meansDb[i]! > 6 && meansDb[i]! < 30).flat(),
  )
  const held = all.filter(({ offDb, scatterDb }) => Math.abs(offDb) <= 1.96 * scatterDb).length
  return {
    kind: 'live-seconds',
    stationId: 'sensitivity',
    title: 'Single seconds of live SINAD, 6 to 30 dB',
    figure: 'level',
    benches: all.length,
    left: 0,
    share: held / all.length,
    meanRangeDb: all.reduce((sum, { scatterDb }) => sum + 1.96 * scatterDb, 0) / all.length,
  }
}

function frameReview(): Review {
  const band = {
    ...newBand({ id: '2m', name: '2 m', levelIds: ['high'] }),
    channelSpacingHz: 12_500,
    channels: [newChannel({ id: 'c', name: 'c', frequencyHz: 154e6, harmonics: true })],
  }
  return {
    ...newReview({ id: 'study', title: 'study', at: AT }),
    sets: [{ ...newRadioSet({ id: 'set', sample: '', levelId: 'high' }), bands: [band] }],
  }
}
