import { printDbm, printDb, printMhz } from '../../quantity'
import { CORRECT_BELOW_DB } from '../../uncertainty'
import { chainLossAt } from '../chainLoss'
import { reachAt, harmonicList, outOfReachInWords } from '../reach'
import type { SpectrumAnalyser, Instrument } from '../types'
import { type BenchCheckInput, type BenchCheck, check } from './check'

/** Whether a harmonic right at its limit, dBm, would stand clear of the noise. */
export function floorAgainstLimit(input: BenchCheckInput, analyser: SpectrumAnalyser): BenchCheck[] {
  if (input.harmonicLimitDbm === null || input.highestHarmonic < 2) return []
  let worstDb = Infinity
  let worstLimitDbm = input.harmonicLimitDbm
  const short: number[] = []
  let seesDownDbm = -Infinity
  for (let n = 2; n <= input.highestHarmonic; n++) {
    const frequencyHz = n * input.carrierHz
    const loss = chainLossAt(input.chain, analyser, frequencyHz)
    if (!loss.known || !reachAt(input.chain, analyser, frequencyHz).covered) continue
    const limitDbm = input.limitAtDbm ? input.limitAtDbm(n) : input.harmonicLimitDbm
    if (limitDbm === null) continue
    const above = limitDbm - loss.lossDb - analyser.floorDbm
    seesDownDbm = Math.max(seesDownDbm, analyser.floorDbm + loss.lossDb)
    if (above < worstDb) [worstDb, worstLimitDbm] = [above, limitDbm]
    if (above < CORRECT_BELOW_DB) short.push(n)
  }
  if (worstDb === Infinity) return []
  if (short.length === 0)
    return [
      check('floor', 'ok', {
        title:
          `Sees down to ${printDbm(seesDownDbm, 0)} at the radio: ` +
          `${printDb(worstDb, 0)} under the limit of ${printDbm(worstLimitDbm)}.`,
      }),
    ]
  return [
    check('floor', 'caution', {
      title:
        worstDb > 0
          ? `A harmonic right at its limit would stand only ${printDb(worstDb)} above the noise at ` +
            `${harmonicList(short)}.`
          : `A harmonic right at its limit would lie in the noise at ${harmonicList(short)}.`,
      text:
        `At least ${CORRECT_BELOW_DB} dB are wanted. Use less padding if the window allows, ` +
        'or a narrower resolution bandwidth.',
      lamp: 'Noise too near the limit',
    }),
  ]
}

/** Whether the chain and its instrument reach every harmonic asked for, Hz. */
export function reach(input: BenchCheckInput, instrument: Instrument): BenchCheck[] {
  const words = outOfReachInWords(input.chain, instrument, input.carrierHz, input.highestHarmonic)
  if (words === null)
    return input.highestHarmonic > 1
      ? [
          check('reach', 'ok', {
            title:
              `×2 to ×${input.highestHarmonic} of ${printMhz(input.carrierHz)} are within reach of ` +
              `${instrument.name}.`,
          }),
        ]
      : []
  return [check('reach', 'note', { title: `${words}.`, text: 'Reported as not covered, never as clean.' })]
}
