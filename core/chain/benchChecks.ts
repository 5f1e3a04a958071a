import { printClaimW, printDb, printDbm, printFrequencyShort, printMhz, printNumber, printSigned, printWatts, wattsFromDbm } from '../quantity'
import { CORRECT_BELOW_DB } from '../uncertainty'
import { chainLossAt } from './chainLoss'
import { chainPath } from './chainPath'
import { type LevelStairs, levelStairsFromWatts } from './levelStairs'
import { harmonicList, outOfReachInWords, reachAt } from './reach'
import type { Chain, Instrument, Part, SpectrumAnalyser } from './types'

/** How much a check weighs: `danger` keeps the operator from keying up. */
export type CheckSeverity = 'ok' | 'note' | 'caution' | 'danger'

/** One check of a chain, in words. */
export interface BenchCheck {
  id: string
  severity: CheckSeverity
  /** What is so, in one sentence; printed bold. */
  title: string
  /** What follows from it, or what to do; may be empty. */
  text: string
  /** Short wording for the header lamp; null where the check has no lamp. */
  lamp: string | null
  partId: string | null
}

export interface BenchCheckInput {
  chain: Chain
  instrument: Instrument | undefined
  carrierHz: number
  powerW: number
  /** Where `powerW` comes from; an assumed one is said so. */
  powerFrom: 'claim' | 'assumed'
  /** Limit on a harmonic at the radio, dBm; null where there is none. */
  harmonicLimitDbm: number | null
  /** Highest harmonic asked for: 10 (47 CFR 2.1057). 1 when harmonics do not matter on this chain. */
  highestHarmonic: number
}

/** Share of a rating from which a part is called close to it. */
const CLOSE_TO_RATING = 0.8

/** A carrier this near the damage level, dB, earns a caution. */
const NEAR_DAMAGE_DB = 3

const ORDER: CheckSeverity[] = ['danger', 'caution', 'note', 'ok']

/** The gravest severity in a list; `ok` for an empty one. */
export function worstSeverity(checks: readonly BenchCheck[]): CheckSeverity {
  return ORDER.find(severity => checks.some(check => check.severity === severity)) ?? 'ok'
}

/**
 * Everything that must be looked at before keying up into this chain: damage, overload, heat at the
 * claimed power, reach of the instrument, floor against the limit, and the offset to type. Gravest first.
 */
export function benchChecks(input: BenchCheckInput): BenchCheck[] {
  const { chain, instrument } = input
  if (!instrument)
    return [check('instrument', 'danger', 'This chain ends in no instrument.', 'Choose one before keying up.', 'No instrument')]
  const stairs = levelStairsFromWatts(chain, instrument, { powerW: input.powerW, frequencyHz: input.carrierHz })
  const checks = [
    ...openEnd(input, instrument),
    ...unknownLoss(input, instrument, stairs),
    ...heat(input, stairs),
    ...(instrument.kind === 'spectrum-analyser' ? analyserWindow(instrument, stairs, input) : meterWindow(instrument, stairs, input)),
    ...(instrument.kind === 'spectrum-analyser' ? floorAgainstLimit(input, instrument) : []),
    ...reach(input, instrument),
    ...offset(input, instrument),
  ]
  return checks.sort((a, b) => ORDER.indexOf(a.severity) - ORDER.indexOf(b.severity))
}

function check(id: string, severity: CheckSeverity, title: string, text = '', lamp: string | null = null, partId: string | null = null): BenchCheck {
  return { id, severity, title, text, lamp, partId }
}

function powerInWords(input: BenchCheckInput): string {
  return input.powerFrom === 'claim' ? `the claimed ${printClaimW(input.powerW)}` : `an assumed ${printClaimW(input.powerW)}`
}

function openEnd(input: BenchCheckInput, instrument: Instrument): BenchCheck[] {
  return chainPath(input.chain, instrument).endsOpen
    ? [check('open', 'danger', `${instrument.name} is in line, and no load stands behind it.`, 'Keying up would feed an open end. Put a load at the end of the row.', 'No load on the chain')]
    : []
}

function unknownLoss(input: BenchCheckInput, instrument: Instrument, stairs: LevelStairs): BenchCheck[] {
  if (stairs.atInstrumentDbm !== null) return []
  const answer = chainLossAt(input.chain, instrument, input.carrierHz)
  return [check('loss-unknown', 'danger', `The loss of this chain is not known at ${printMhz(input.carrierHz)}.`, answer.known ? '' : `${answer.why} Without it nobody can tell what reaches the instrument.`, 'Chain loss unknown')]
}

function heat(input: BenchCheckInput, stairs: LevelStairs): BenchCheck[] {
  const hot = stairs.stairs
    .filter(stair => stair.part.kind === 'pad' || stair.part.kind === 'load' || stair.part.ratingW !== null)
    .map(stair => ({ part: stair.part, heatW: stair.heatW, throughW: wattsFromDbm(stair.inDbm) }))
  if (stairs.termination) hot.push({ part: stairs.termination.part, heatW: stairs.termination.heatW, throughW: stairs.termination.heatW })
  return hot.flatMap(({ part, heatW, throughW }) => heatOfPart(input, part, heatW, throughW))
}

function heatOfPart(input: BenchCheckInput, part: Part, heatW: number | null, throughW: number): BenchCheck[] {
  const soaks = part.kind === 'pad' || part.kind === 'load'
  if (heatW === null) return []
  if (part.ratingW === null)
    return heatW < 0.05 ? [] : [check(`heat:${part.id}`, 'caution', `${part.name} has no power rating on record, and takes up ${printWatts(heatW, 2)}.`, 'Find its rating before a long key-down.', `${part.name}: rating not known`, part.id)]
  const loadW = soaks ? heatW : throughW
  const verb = soaks ? 'takes up' : 'carries'
  if (loadW > part.ratingW * 1.0001)
    return [check(`heat:${part.id}`, 'danger', `${part.name} is rated ${printClaimW(part.ratingW)}, and ${verb} ${printWatts(loadW, 2)} at ${powerInWords(input)}.`, 'Do not key up: put a larger one nearest the radio.', `${part.name} too small`, part.id)]
  if (loadW > part.ratingW * CLOSE_TO_RATING)
    return [check(`heat:${part.id}`, 'caution', `${part.name} is rated ${printClaimW(part.ratingW)}, and ${verb} ${printWatts(loadW, 2)} at ${powerInWords(input)}.`, 'Close to its rating: key down briefly and let it cool. It gets hot enough to burn.', `${part.name} close to its rating`, part.id)]
  return soaks
    ? [check(`heat:${part.id}`, 'ok', `${part.name} takes up ${printWatts(loadW, 2)} of its ${printClaimW(part.ratingW)}.`, '', loadW > 0.1 * part.ratingW || part.kind === 'load' ? `${part.name} within its rating` : null, part.id)]
    : []
}

function analyserWindow(analyser: SpectrumAnalyser, stairs: LevelStairs, input: BenchCheckInput): BenchCheck[] {
  const level = stairs.atInstrumentDbm
  if (level === null) return []
  const below = analyser.damageDbm - level
  const arrives = `The carrier reaches ${analyser.name} at ${printDbm(level)}`
  if (below <= 0)
    return [check('damage', 'danger', `${arrives}; it breaks at ${printDbm(analyser.damageDbm, 0)}.`, `At ${powerInWords(input)} this chain lacks ${printDb(Math.ceil(10 - below), 0)} of padding. Do not key up.`, 'Analyser would be damaged')]
  const checks: BenchCheck[] = []
  if (below < NEAR_DAMAGE_DB)
    checks.push(check('damage', 'caution', `${arrives}, only ${printDb(below)} below damage.`, 'A radio that makes more than it claims would break it. Add a pad.', `Analyser ${printDb(below, 0)} below damage`))
  if (level > analyser.overloadDbm)
    checks.push(check('overload', 'caution', `${arrives}, above the ${printDbm(analyser.overloadDbm, 0)} where it starts to make harmonics of its own.`, `Add ${printDb(Math.ceil(level - analyser.overloadDbm), 0)} or more, or what you read may not be the radio.`, below < NEAR_DAMAGE_DB ? null : 'Analyser overloaded'))
  if (checks.length === 0)
    checks.push(check('damage', 'ok', `${arrives}: ${printDb(below, 0)} below damage, ${printDb(analyser.overloadDbm - level, 0)} below overload.`, '', `Analyser ${printDb(below, 0)} below damage`))
  return checks
}

function meterWindow(meter: Extract<Instrument, { kind: 'power-meter' }>, stairs: LevelStairs, input: BenchCheckInput): BenchCheck[] {
  if (stairs.atInstrumentDbm === null) return []
  const powerW = wattsFromDbm(stairs.atInstrumentDbm)
  if (powerW > meter.maxInputW * 1.0001)
    return [check('damage', 'danger', `${meter.name} takes ${printClaimW(meter.maxInputW)} at most, and would get ${printWatts(powerW, 2)} at ${powerInWords(input)}.`, 'Do not key up.', 'Meter would be damaged')]
  if (powerW > meter.fullScaleW * 1.0001)
    return [check('overload', 'caution', `${printWatts(powerW, 2)} is beyond the ${printClaimW(meter.fullScaleW)} full scale of ${meter.name}.`, 'Choose its larger range, or it cannot be read.', 'Meter off its scale')]
  return [check('damage', 'ok', `${meter.name} gets ${printWatts(powerW, 2)} of its ${printClaimW(meter.maxInputW)}.`, '', 'Meter within its range')]
}

function floorAgainstLimit(input: BenchCheckInput, analyser: SpectrumAnalyser): BenchCheck[] {
  if (input.harmonicLimitDbm === null || input.highestHarmonic < 2) return []
  let worstDb = Infinity
  const short: number[] = []
  let seesDownDbm = -Infinity
  for (let n = 2; n <= input.highestHarmonic; n++) {
    const frequencyHz = n * input.carrierHz
    const loss = chainLossAt(input.chain, analyser, frequencyHz)
    if (!loss.known || !reachAt(input.chain, analyser, frequencyHz).covered) continue
    const above = input.harmonicLimitDbm - loss.lossDb - analyser.floorDbm
    seesDownDbm = Math.max(seesDownDbm, analyser.floorDbm + loss.lossDb)
    worstDb = Math.min(worstDb, above)
    if (above < CORRECT_BELOW_DB) short.push(n)
  }
  if (worstDb === Infinity) return []
  if (short.length === 0)
    return [check('floor', 'ok', `Sees down to ${printDbm(seesDownDbm, 0)} at the radio: ${printDb(worstDb, 0)} under the limit of ${printDbm(input.harmonicLimitDbm)}.`)]
  return [check('floor', 'caution', `A harmonic right at its limit would stand only ${printDb(Math.max(worstDb, 0))} above the noise at ${harmonicList(short)}.`, `At least ${CORRECT_BELOW_DB} dB are wanted. Use less padding if the window allows, or a narrower resolution bandwidth.`, 'Noise too near the limit')]
}

function reach(input: BenchCheckInput, instrument: Instrument): BenchCheck[] {
  const words = outOfReachInWords(input.chain, instrument, input.carrierHz, input.highestHarmonic)
  if (words === null)
    return input.highestHarmonic > 1 ? [check('reach', 'ok', `×2 to ×${input.highestHarmonic} of ${printMhz(input.carrierHz)} are within reach of ${instrument.name}.`)] : []
  return [check('reach', 'note', `${words}.`, 'Reported as not covered, never as clean.')]
}

function offset(input: BenchCheckInput, instrument: Instrument): BenchCheck[] {
  const wanted: string[] = []
  const losses: number[] = []
  for (let n = 1; n <= input.highestHarmonic; n++) {
    const frequencyHz = n * input.carrierHz
    const loss = chainLossAt(input.chain, instrument, frequencyHz)
    if (!loss.known || !reachAt(input.chain, instrument, frequencyHz).covered) continue
    losses.push(loss.lossDb)
    wanted.push(`${printSigned(loss.lossDb, 2)} dB at ${printFrequencyShort(frequencyHz)}`)
  }
  if (losses.length === 0) return []
  const set = input.chain.offsetOnInstrumentDb
  if (set === 0)
    return [check('offset', 'ok', `Offset if you want the instrument to show the radio: ${wanted.join(', ')}.`, 'Now set to 0: type what it shows, the chain is added here.')]
  const off = Math.max(...losses.map(lossDb => Math.abs(set - lossDb)))
  const title = `The instrument is said to add ${printSigned(set, 2)} dB; the chain asks for ${wanted.join(', ')}.`
  return off > 1
    ? [check('offset', 'caution', title, `That is up to ${printNumber(off, 1)} dB apart. Readings are put right here, as long as the instrument really is set to ${printSigned(set, 2)} dB.`, `Offset ${printSigned(set, 1)} dB on the instrument`)]
    : [check('offset', 'ok', title, 'The difference is put right here.')]
}
