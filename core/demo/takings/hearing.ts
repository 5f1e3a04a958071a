import {
  AUDIO,
  GENERATOR,
  generatorSet,
  INTERFERER,
  NEIGHBOUR_ID,
  SENSITIVITY_ID,
  SQUELCH_ID,
  STRONG_ID,
} from '../../station'
import type { RoleId } from '../../review'
import type { Step } from '../../step'
import { levelForSinad } from '../../virtual'
import type { DemoTaker } from '../demoTaker'
import { hearingTruth } from '../truth/hearing'
import { type DemoTaking, stepsAt } from './taking'

/** What is read of one receiver, on one band. */
interface HearingRead {
  /** Levels at the generator SINAD is read at, dBm. */
  readAtDbm: readonly number[]
  squelch?: true
  neighbours?: true
  blocking?: true
}

const BAND_ID = '70cm'

const READ: Readonly<Record<string, HearingRead>> = {
  'trek-a': {
    readAtDbm: [-114.9, -124, -120.9, -122.2],
    squelch: true,
    neighbours: true,
    blocking: true,
  },
  'trek-b': { readAtDbm: [-112, -119, -116.4, -117.6] },
  mini: { readAtDbm: [-114, -121.9, -119.2, -120.4] },
  c1: { readAtDbm: [-117, -126, -123, -124.2], squelch: true },
}

/** Losses of the demo's paths as written, dB: the cable alone, and cable, combiner and pad. */
export const ALONE_DB = 0.6
const TOGETHER_DB = 16.7

/** Sensitivity at four radios; squelch, neighbours and strong signals where the club had an evening. */
export const takeHearing: DemoTaking = (taker, sets) => {
  for (const set of sets) {
    const read = READ[set.id]
    if (!read) continue
    const at = (stationId: string) => stepsAt(stationId, set, taker).find(({ band }) => band.id === BAND_ID)
    const [sensitivity, squelch, neighbour, strong] = [
      SENSITIVITY_ID,
      SQUELCH_ID,
      NEIGHBOUR_ID,
      STRONG_ID,
    ].map(at)
    if (sensitivity) readCurve(taker, sensitivity, read)
    if (squelch && read.squelch) readSquelch(taker, squelch)
    if (neighbour && read.neighbours) readNeighbours(taker, neighbour)
    if (strong && read.blocking) readBlocking(taker, strong)
  }
}

const LISTENING = { radio: 'squelch-open' } as const

/** SINAD as the audio analyser shows it. */
function sinadAt(taker: DemoTaker, step: Step): number {
  return taker.stand.askAt(step, AUDIO, { does: LISTENING, phrase: 'read-sinad' })[0]!
}

/** Turns the generator of a role, modulated as its channel is tested. */
function turn(
  taker: DemoTaker,
  step: Step,
  given: { role: RoleId; frequencyHz: number; levelDbm: number; isPlain?: boolean },
): void {
  const set = generatorSet(step, given)
  taker.stand.turn(step, given.isPlain ? { ...set, deviationHz: 0 } : set)
}

/** Above the noise, so that what lies beside the channel still shows, dB. */
const OFFSETS_ABOVE_DB = 10

function readCurve(taker: DemoTaker, step: Step, { readAtDbm }: HearingRead): void {
  const { frequencyHz } = step.channel
  const offsetsAt = Number((hearingTruth[step.set.id]!.equalDbm + OFFSETS_ABOVE_DB + ALONE_DB).toFixed(1))
  for (const hz of [-1000, 0, 1000]) {
    turn(taker, step, { role: GENERATOR, frequencyHz: frequencyHz + hz, levelDbm: offsetsAt })
    taker.heard(step, `f${hz}`, { value: sinadAt(taker, step), setDbm: { [GENERATOR]: offsetsAt } })
  }
  for (const [index, levelDbm] of readAtDbm.entries()) {
    turn(taker, step, { role: GENERATOR, frequencyHz, levelDbm })
    const value = sinadAt(taker, step)
    taker.heard(step, `p${index + 1}`, {
      value,
      setDbm: { [GENERATOR]: levelDbm },
      standardUncertainty: value > 18 ? 0.15 : 0.35,
    })
  }
  taker.stand.off(step, GENERATOR)
  taker.heard(step, 'leak', { value: sinadAt(taker, step), setDbm: { [GENERATOR]: readAtDbm[1]! } })
}

/** A squelch is turned up to and down from here, dBm at the socket, in steps of so much. */
const SQUELCH = { fromDbm: -136, toDbm: -116, stepDb: 0.5 } as const
/** Volts above which something is heard. */
const HEARD_V = 0.02

function readSquelch(taker: DemoTaker, step: Step): void {
  const { frequencyHz } = step.channel
  const isHeard = (levelDbm: number) => {
    turn(taker, step, { role: GENERATOR, frequencyHz, levelDbm })
    return (
      taker.stand.askAt(step, AUDIO, { does: { radio: 'squelched' }, phrase: 'read-volts' })[0]! > HEARD_V
    )
  }
  const keep = (edge: 'open' | 'close', round: number, levelDbm: number) =>
    taker.generatorLevel(step, `threshold-${edge}-${round}`, { role: GENERATOR, levelDbm })
  const { fromDbm, toDbm, stepDb } = SQUELCH
  for (const round of [1, 2, 3]) {
    let levelDbm: number = fromDbm
    while (levelDbm < toDbm && !isHeard(levelDbm)) levelDbm += stepDb
    keep('open', round, levelDbm)
    while (levelDbm > fromDbm && isHeard(levelDbm)) levelDbm -= stepDb
    keep('close', round, levelDbm)
  }
  taker.stand.off(step, GENERATOR)
}

function readNeighbours(taker: DemoTaker, step: Step): void {
  for (const slot of ['tia-lower', 'tia-upper']) raise(taker, step, { slot, isPlain: false })
}

function readBlocking(taker: DemoTaker, step: Step): void {
  for (const slot of ['block-1', 'block1']) raise(taker, step, { slot, isPlain: true })
}

/** The wanted signal 3 dB above its 12 dB level, the other up in tenths until SINAD is back at 12 dB. */
function raise(taker: DemoTaker, step: Step, { slot, isPlain }: { slot: string; isPlain: boolean }): void {
  const { frequencyHz } = step.channel
  const wantedDbm = Number((twelveOf(step) + 3 + TOGETHER_DB).toFixed(1))
  const interfererHz = step.slots.find(({ id }) => id === slot)?.frequencyHz ?? frequencyHz
  const isStill12 = (levelDbm: number) => {
    turn(taker, step, { role: INTERFERER, frequencyHz: interfererHz, levelDbm, isPlain })
    return meanSinad(taker, step) > 12
  }
  turn(taker, step, { role: GENERATOR, frequencyHz, levelDbm: wantedDbm })
  let levelDbm = -100
  for (const stepDb of [10, 1, 0.1])
    while (isStill12(Number((levelDbm + stepDb).toFixed(1))))
      levelDbm = Number((levelDbm + stepDb).toFixed(1))
  taker.generatorLevel(step, slot, {
    role: INTERFERER,
    levelDbm,
    setDbm: { [GENERATOR]: wantedDbm },
  })
  taker.stand.off(step, GENERATOR, INTERFERER)
}

function twelveOf({ set }: Step): number {
  return levelForSinad(hearingTruth[set.id]!, 12)
}

/** The mean of a few: near 12 dB clicks come and go. */
function meanSinad(taker: DemoTaker, step: Step): number {
  const shown = Array.from({ length: 4 }, () => sinadAt(taker, step))
  return shown.reduce((sum, value) => sum + value, 0) / shown.length
}
