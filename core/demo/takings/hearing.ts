import { GENERATOR, INTERFERER, NEIGHBOUR_ID, SENSITIVITY_ID, SQUELCH_ID, STRONG_ID } from '../../station'
import type { Step } from '../../step'
import type { DemoTaker } from '../demoTaker'
import { type DemoTaking, stepsAt } from './taking'

/** What an invented receiver hears on one band. */
interface HearingTruth {
  bandId: string
  /** Level at which carrier and noise are equal, dBm; what the audio gains above the threshold, dB. */
  equalDbm: number
  gainDb: number
  /** Levels at the generator it was read at, dBm. */
  readAtDbm: readonly number[]
  squelchDbm?: { open: number; close: number }
  neighbourDb?: { lower: number; upper: number }
  blockingDb?: { below: number; above: number }
}

const TRUTH: Readonly<Record<string, HearingTruth>> = {
  'trek-a': {
    bandId: '70cm',
    equalDbm: -129.3,
    gainDb: 6,
    readAtDbm: [-114.9, -124, -120.9, -122.2],
    squelchDbm: { open: -123.9, close: -127.4 },
    neighbourDb: { lower: 46.8, upper: 45.1 },
    blockingDb: { below: 72.4, above: 71.1 },
  },
  'trek-b': { bandId: '70cm', equalDbm: -124.7, gainDb: 6, readAtDbm: [-112, -119, -116.4, -117.6] },
  mini: { bandId: '70cm', equalDbm: -127.8, gainDb: 5, readAtDbm: [-114, -121.9, -119.2, -120.4] },
  c1: {
    bandId: '70cm',
    equalDbm: -131.2,
    gainDb: 7,
    readAtDbm: [-117, -126, -123, -124.2],
    squelchDbm: { open: -127.2, close: -131.8 },
  },
}

/** Losses of the demo's paths, dB: the cable alone, and cable, combiner and pad. */
export const ALONE_DB = 0.6
const TOGETHER_DB = 16.7

/** SINAD of the invented receiver at a level at its socket, dB: clicks below the threshold, distortion above. */
function sinadOf({ equalDbm, gainDb }: HearingTruth, socketDbm: number): number {
  const ratio = 10 ** ((socketDbm - equalDbm) / 10)
  const noise =
    (1 / (10 ** (gainDb / 10) * ratio) + 4 * Math.exp(-ratio)) / (1 - Math.exp(-ratio)) ** 2 + 10 ** -3.6
  return 10 * Math.log10(1 + 1 / noise)
}

/** Level of 12 dB SINAD, dBm, by halving. */
function twelveOf(truth: HearingTruth): number {
  let [low, high] = [truth.equalDbm, truth.equalDbm + 30]
  while (high - low > 0.01) {
    const middle = (low + high) / 2
    if (sinadOf(truth, middle) < 12) low = middle
    else high = middle
  }
  return high
}

/** Sensitivity at four radios; squelch, neighbours and strong signals where the club had an evening. */
export const takeHearing: DemoTaking = (taker, sets) => {
  for (const set of sets) {
    const truth = TRUTH[set.id]
    if (!truth) continue
    const at = (stationId: string) =>
      stepsAt(stationId, set, taker).find(({ band }) => band.id === truth.bandId)
    const [sensitivity, squelch, neighbour, strong] = [
      SENSITIVITY_ID,
      SQUELCH_ID,
      NEIGHBOUR_ID,
      STRONG_ID,
    ].map(at)
    if (sensitivity) readCurve(taker, sensitivity, truth)
    if (squelch && truth.squelchDbm) readSquelch(taker, squelch, truth.squelchDbm)
    if (neighbour && truth.neighbourDb) readNeighbours(taker, neighbour, truth)
    if (strong && truth.blockingDb) readBlocking(taker, strong, truth)
  }
}

function readCurve(taker: DemoTaker, step: Step, truth: HearingTruth): void {
  for (const [hz, fallDb] of [
    [-1000, 6.2],
    [0, 0],
    [1000, 5.1],
  ] as const)
    taker.heard(step, `f${hz}`, { value: 16.4 - fallDb, setDbm: { [GENERATOR]: -118 } })
  for (const [index, setDbm] of truth.readAtDbm.entries()) {
    const off = (taker.random() + taker.random() - 1) * 0.5
    const value = sinadOf(truth, setDbm - ALONE_DB) + off
    taker.heard(step, `p${index + 1}`, {
      value,
      setDbm: { [GENERATOR]: setDbm },
      standardUncertainty: value > 18 ? 0.15 : 0.35,
    })
  }
  taker.heard(step, 'leak', { value: 0.6, setDbm: { [GENERATOR]: truth.readAtDbm[1]! } })
}

function readSquelch(taker: DemoTaker, step: Step, edges: { open: number; close: number }): void {
  for (const round of [1, 2, 3])
    for (const edge of ['open', 'close'] as const) {
      const level = edges[edge] + ALONE_DB + (taker.random() - 0.5)
      taker.generatorLevel(step, `threshold-${edge}-${round}`, {
        role: GENERATOR,
        levelDbm: Math.round(2 * level) / 2,
      })
    }
}

function readNeighbours(taker: DemoTaker, step: Step, truth: HearingTruth): void {
  const twelve = twelveOf(truth)
  for (const side of ['lower', 'upper'] as const)
    taker.generatorLevel(step, `tia-${side}`, {
      role: INTERFERER,
      levelDbm: twelve + truth.neighbourDb![side] + TOGETHER_DB,
      setDbm: { [GENERATOR]: twelve + 3 + TOGETHER_DB },
    })
}

function readBlocking(taker: DemoTaker, step: Step, truth: HearingTruth): void {
  const twelve = twelveOf(truth)
  for (const [slot, ratioDb] of [
    ['block-1', truth.blockingDb!.below],
    ['block1', truth.blockingDb!.above],
  ] as const)
    taker.generatorLevel(step, slot, {
      role: INTERFERER,
      levelDbm: twelve + ratioDb + TOGETHER_DB,
      setDbm: { [GENERATOR]: twelve + 3 + TOGETHER_DB },
    })
}
