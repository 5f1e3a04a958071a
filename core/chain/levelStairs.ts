import { dbmFromWatts, wattsFromDbm } from '../quantity'
import { chainPath } from './chainPath'
import { partLossAt } from './partLoss'
import type { Chain, Instrument, Part } from './types'

/** One step of the stairs: the level before and after a part and the heat left in it. */
export interface Stair {
  part: Part
  inDbm: number
  /** null from the first part on whose loss is not known here. */
  outDbm: number | null
  lossDb: number | null
  /** Power turned into heat, W; null when not known. */
  heatW: number | null
}

/** The level of a carrier along a chain, from the radio’s socket to the instrument’s connector. */
export interface LevelStairs {
  startDbm: number
  stairs: Stair[]
  /** Level at the instrument; null when a loss on the way is not known. */
  atInstrumentDbm: number | null
  /** Heat in the load behind an in-line meter, W. */
  termination: { part: Part; heatW: number } | null
}

/**
 * The level of a signal of `startDbm` at the radio's socket, part by part down the chain, at one frequency.
 */
export function levelStairs(
  chain: Chain,
  instrument: Instrument | undefined,
  signal: { startDbm: number; frequencyHz: number },
): LevelStairs {
  const path = chainPath(chain, instrument)
  const stairs: Stair[] = []
  let levelDbm: number | null = signal.startDbm
  for (const part of path.before) {
    const answer = partLossAt(part, signal.frequencyHz)
    if (levelDbm === null || !answer.known) {
      stairs.push({
        part,
        inDbm: levelDbm ?? Number.NaN,
        outDbm: null,
        lossDb: answer.known ? answer.lossDb : null,
        heatW: null,
      })
      levelDbm = null
      continue
    }
    const outDbm: number = levelDbm - answer.lossDb
    stairs.push({
      part,
      inDbm: levelDbm,
      outDbm,
      lossDb: answer.lossDb,
      heatW: wattsFromDbm(levelDbm) - wattsFromDbm(outDbm),
    })
    levelDbm = outDbm
  }
  return {
    startDbm: signal.startDbm,
    stairs,
    atInstrumentDbm: levelDbm,
    termination:
      path.termination && levelDbm !== null
        ? { part: path.termination, heatW: wattsFromDbm(levelDbm) }
        : null,
  }
}

/** As `levelStairs`, from a power in W. */
export function levelStairsFromWatts(
  chain: Chain,
  instrument: Instrument | undefined,
  signal: { powerW: number; frequencyHz: number },
): LevelStairs {
  return levelStairs(chain, instrument, {
    startDbm: dbmFromWatts(signal.powerW),
    frequencyHz: signal.frequencyHz,
  })
}
