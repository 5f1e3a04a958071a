import {
  printClaimW,
  printDb,
  printDbm,
  printFrequencyShort,
  printMhz,
  printNumber,
  printSigned,
  printWatts,
  wattsFromDbm,
} from '../quantity'
import { CORRECT_BELOW_DB } from '../uncertainty'
import { chainLossAt } from './chainLoss'
import { chainPath } from './chainPath'
import { type LevelStairs, levelStairsFromWatts } from './levelStairs'
import { harmonicList, outOfReachInWords, reachAt } from './reach'
import { calibrationAges } from './calibrationAge'
import { HEAT_DEFAULTS, type HeatConditions, partHeat, type PartHeat } from './heat'
import type { Calibration, Chain, Instrument, Part, PowerMeter, Receiver, SpectrumAnalyser } from './types'

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
  /**
   * Limit at each harmonic, dBm, where it differs from one to the next; `harmonicLimitDbm` at all of them by
   * default.
   */
  limitAtDbm?: (harmonic: number) => number | null
  /** Highest harmonic asked for: 10 (47 CFR 2.1057). 1 when harmonics do not matter on this chain. */
  highestHarmonic: number
  /** Temperature and planned duty; 25 °C and one minute in two by default. */
  conditions?: HeatConditions
  /** Calibrations on record, to say how old they are; none by default. */
  calibration?: { calibrations: readonly Calibration[]; at: string; maxAgeDays: number }
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
    return [
      check('instrument', 'danger', {
        title: 'This chain ends in no instrument.',
        text: 'Choose one before keying up.',
        lamp: 'No instrument',
      }),
    ]
  const stairs = levelStairsFromWatts(chain, instrument, {
    powerW: input.powerW,
    frequencyHz: input.carrierHz,
  })
  const checks = [
    ...openEnd(input, instrument),
    ...unknownLoss(input, instrument, stairs),
    ...heat(input, stairs),
    ...throughPorts(input),
    ...(instrument.kind === 'power-meter'
      ? meterWindow(instrument, stairs, input)
      : analyserWindow(instrument, stairs, input)),
    ...(instrument.kind === 'spectrum-analyser' ? floorAgainstLimit(input, instrument) : []),
    ...reach(input, instrument),
    ...offset(input, instrument),
    ...calibrations(input),
  ]
  return checks.sort((a, b) => ORDER.indexOf(a.severity) - ORDER.indexOf(b.severity))
}

function check(
  id: string,
  severity: CheckSeverity,
  said: Pick<BenchCheck, 'title'> & Partial<BenchCheck>,
): BenchCheck {
  return { id, severity, text: '', lamp: null, partId: null, ...said }
}

function powerInWords(input: BenchCheckInput): string {
  return input.powerFrom === 'claim'
    ? `the claimed ${printClaimW(input.powerW)}`
    : `an assumed ${printClaimW(input.powerW)}`
}

function openEnd(input: BenchCheckInput, instrument: Instrument): BenchCheck[] {
  return chainPath(input.chain, instrument).endsOpen
    ? [
        check('open', 'danger', {
          title: `${instrument.name} is in line, and no load stands behind it.`,
          text: 'Keying up would feed an open end. Put a load at the end of the row.',
          lamp: 'No load on the chain',
        }),
      ]
    : []
}

function unknownLoss(input: BenchCheckInput, instrument: Instrument, stairs: LevelStairs): BenchCheck[] {
  if (stairs.atInstrumentDbm !== null) return []
  const answer = chainLossAt(input.chain, instrument, input.carrierHz)
  return [
    check('loss-unknown', 'danger', {
      title: `The loss of this chain is not known at ${printMhz(input.carrierHz)}.`,
      text: answer.known ? '' : `${answer.why} Without it nobody can tell what reaches the instrument.`,
      lamp: 'Chain loss unknown',
    }),
  ]
}

function heat(input: BenchCheckInput, stairs: LevelStairs): BenchCheck[] {
  const hot = stairs.stairs
    .filter(stair => soaks(stair.part) || stair.part.ratingW !== null)
    .map(stair => ({ part: stair.part, heatW: stair.heatW, throughW: wattsFromDbm(stair.inDbm) }))
  if (stairs.termination)
    hot.push({
      part: stairs.termination.part,
      heatW: stairs.termination.heatW,
      throughW: stairs.termination.heatW,
    })
  return hot.flatMap(({ part, heatW, throughW }) =>
    heatW === null ? [] : heatOfPart(input, part, soaks(part) ? heatW : throughW),
  )
}

/** Pads and loads turn what they take into heat; the others carry it. */
function soaks(part: Part): boolean {
  return part.kind === 'pad' || part.kind === 'load' || part.kind === 'combiner'
}

function heatOfPart(input: BenchCheckInput, part: Part, keyedW: number): BenchCheck[] {
  const verb = soaks(part) ? 'takes up' : 'carries'
  if (part.ratingW === null)
    return keyedW < 0.05
      ? []
      : [
          check(`heat:${part.id}`, 'caution', {
            title: `${part.name} has no power rating on record, and ${verb} ${printWatts(keyedW, 2)}.`,
            text: 'Find its rating before a long key-down.',
            lamp: `${part.name}: rating not known`,
            partId: part.id,
          }),
        ]
  const conditions = input.conditions ?? HEAT_DEFAULTS
  const result = partHeat(part, keyedW, conditions)
  const rating = ratingInWords(part, result, conditions)
  const bad = (severity: CheckSeverity, text: string, lamp: string) => [
    check(`heat:${part.id}`, severity, {
      title: `${part.name} is rated ${rating}, and ${verb} ${printWatts(keyedW, 2)} at ${powerInWords(input)}.`,
      text,
      lamp,
      partId: part.id,
    }),
  ]
  if (result.mayBeKeyedS === 0)
    return bad('danger', 'Do not key up: put a larger one nearest the radio.', `${part.name} too small`)
  if (result.averageW > result.ratingW! * 1.0001)
    return bad(
      'danger',
      `Over the planned ${conditions.duty.keyedS} s keyed and ${conditions.duty.restS} s of rest that is ${printWatts(result.averageW, 2)}. Good for ${minutes(result.mayBeKeyedS)} keyed in every ${minutes(result.averagingS)}, then ${minutes(result.restS)} of rest: plan for that, or put a larger one nearest the radio.`,
      `${part.name} too small for this duty`,
    )
  if (!result.continuous)
    return bad(
      'caution',
      `Good for ${minutes(result.mayBeKeyedS)} keyed in every ${minutes(result.averagingS)}, then ${minutes(result.restS)} of rest. It gets hot enough to burn.`,
      `${part.name}: ${minutes(result.mayBeKeyedS)} in ${minutes(result.averagingS)}`,
    )
  if (keyedW > result.ratingW! * CLOSE_TO_RATING)
    return bad(
      'caution',
      'Close to its rating: key down briefly and let it cool. It gets hot enough to burn.',
      `${part.name} close to its rating`,
    )
  return soaks(part)
    ? [
        check(`heat:${part.id}`, 'ok', {
          title: `${part.name} takes up ${printWatts(keyedW, 2)} of its ${rating}.`,
          lamp:
            keyedW > 0.1 * result.ratingW! || part.kind === 'load' ? `${part.name} within its rating` : null,
          partId: part.id,
        }),
      ]
    : []
}

function ratingInWords(part: Part, heat: PartHeat, conditions: HeatConditions): string {
  const full = printClaimW(part.ratingW!)
  return heat.ratingW! < part.ratingW! * 0.9999
    ? `${full} (${printWatts(heat.ratingW, 2)} at ${conditions.ambientC} °C)`
    : full
}

function minutes(seconds: number): string {
  return seconds < 60 ? `${Math.floor(seconds)} s` : `${Math.floor(seconds / 6) / 10} min`
}

/** A tap passes nearly everything on: somebody must take it. */
function throughPorts(input: BenchCheckInput): BenchCheck[] {
  return input.chain.parts
    .filter(({ kind }) => kind === 'sampler' || kind === 'coupler')
    .map(part =>
      check(`through:${part.id}`, 'note', {
        title: `${part.name} passes the carrier on: its through port needs a load rated for ${printClaimW(input.powerW)} or more.`,
        text: 'The load does not stand in this row; look that it is there.',
        partId: part.id,
      }),
    )
}

const AGES = ['today', 'yesterday']

function calibrations(input: BenchCheckInput): BenchCheck[] {
  if (!input.calibration) return []
  return calibrationAges(input.chain, input.calibration).map(({ partId, partName, days, stale }) =>
    stale
      ? check(`calibration:${partId}`, 'caution', {
          title: `${partName} was measured ${days} days ago, more than the ${input.calibration!.maxAgeDays} days this review allows.`,
          text: 'Measure this path again before you rely on it.',
          lamp: 'Calibration out of date',
          partId,
        })
      : check(`calibration:${partId}`, 'ok', {
          title: `${partName} was measured ${AGES[days] ?? `${days} days ago`}.`,
          partId,
        }),
  )
}

function analyserWindow(
  analyser: SpectrumAnalyser | Receiver,
  stairs: LevelStairs,
  input: BenchCheckInput,
): BenchCheck[] {
  const level = stairs.atInstrumentDbm
  if (level === null) return []
  const below = analyser.damageDbm - level
  const arrives = `The carrier reaches ${analyser.name} at ${printDbm(level)}`
  if (below <= 0)
    return [
      check('damage', 'danger', {
        title: `${arrives}; it breaks at ${printDbm(analyser.damageDbm, 0)}.`,
        text: `At ${powerInWords(input)} this chain lacks ${printDb(Math.ceil(10 - below), 0)} of padding. Do not key up.`,
        lamp: `${short(analyser)} would be damaged`,
      }),
    ]
  const checks: BenchCheck[] = []
  if (below < NEAR_DAMAGE_DB)
    checks.push(
      check('damage', 'caution', {
        title: `${arrives}, only ${printDb(below)} below damage.`,
        text: 'A radio that makes more than it claims would break it. Add a pad.',
        lamp: `${short(analyser)} ${printDb(below, 0)} below damage`,
      }),
    )
  if (level > analyser.overloadDbm)
    checks.push(
      check('overload', 'caution', {
        title: `${arrives}, above the ${printDbm(analyser.overloadDbm, 0)} where it starts to make harmonics of its own.`,
        text: `Add ${printDb(Math.ceil(level - analyser.overloadDbm), 0)} or more, or what you read may not be the radio.`,
        lamp: below < NEAR_DAMAGE_DB ? null : 'Analyser overloaded',
      }),
    )
  if (checks.length === 0)
    checks.push(
      check('damage', 'ok', {
        title: `${arrives}: ${printDb(below, 0)} below damage, ${printDb(analyser.overloadDbm - level, 0)} below overload.`,
        lamp: `${short(analyser)} ${printDb(below, 0)} below damage`,
      }),
    )
  return checks
}

function short(instrument: SpectrumAnalyser | Receiver): string {
  return instrument.kind === 'receiver' ? 'Receiver' : 'Analyser'
}

function meterWindow(meter: PowerMeter, stairs: LevelStairs, input: BenchCheckInput): BenchCheck[] {
  if (stairs.atInstrumentDbm === null) return []
  const powerW = wattsFromDbm(stairs.atInstrumentDbm)
  if (powerW > meter.maxInputW * 1.0001)
    return [
      check('damage', 'danger', {
        title: `${meter.name} takes ${printClaimW(meter.maxInputW)} at most, and would get ${printWatts(powerW, 2)} at ${powerInWords(input)}.`,
        text: 'Do not key up.',
        lamp: 'Meter would be damaged',
      }),
    ]
  if (powerW > meter.fullScaleW * 1.0001)
    return [
      check('overload', 'caution', {
        title: `${printWatts(powerW, 2)} is beyond the ${printClaimW(meter.fullScaleW)} full scale of ${meter.name}.`,
        text: 'Choose its larger range, or it cannot be read.',
        lamp: 'Meter off its scale',
      }),
    ]
  return [
    check('damage', 'ok', {
      title: `${meter.name} gets ${printWatts(powerW, 2)} of its ${printClaimW(meter.maxInputW)}.`,
      lamp: 'Meter within its range',
    }),
  ]
}

function floorAgainstLimit(input: BenchCheckInput, analyser: SpectrumAnalyser): BenchCheck[] {
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
        title: `Sees down to ${printDbm(seesDownDbm, 0)} at the radio: ${printDb(worstDb, 0)} under the limit of ${printDbm(worstLimitDbm)}.`,
      }),
    ]
  return [
    check('floor', 'caution', {
      title:
        worstDb > 0
          ? `A harmonic right at its limit would stand only ${printDb(worstDb)} above the noise at ${harmonicList(short)}.`
          : `A harmonic right at its limit would lie in the noise at ${harmonicList(short)}.`,
      text: `At least ${CORRECT_BELOW_DB} dB are wanted. Use less padding if the window allows, or a narrower resolution bandwidth.`,
      lamp: 'Noise too near the limit',
    }),
  ]
}

function reach(input: BenchCheckInput, instrument: Instrument): BenchCheck[] {
  const words = outOfReachInWords(input.chain, instrument, input.carrierHz, input.highestHarmonic)
  if (words === null)
    return input.highestHarmonic > 1
      ? [
          check('reach', 'ok', {
            title: `×2 to ×${input.highestHarmonic} of ${printMhz(input.carrierHz)} are within reach of ${instrument.name}.`,
          }),
        ]
      : []
  return [check('reach', 'note', { title: `${words}.`, text: 'Reported as not covered, never as clean.' })]
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
    return [
      check('offset', 'ok', {
        title: `Offset if you want the instrument to show the radio: ${wanted.join(', ')}.`,
        text: 'Now set to 0: type what it shows, the chain is added here.',
      }),
    ]
  const off = Math.max(...losses.map(lossDb => Math.abs(set - lossDb)))
  const title = `The instrument is said to add ${printSigned(set, 2)} dB; the chain asks for ${wanted.join(', ')}.`
  return off > 1
    ? [
        check('offset', 'caution', {
          title,
          text: `That is up to ${printNumber(off, 1)} dB apart. Readings are put right here, as long as the instrument really is set to ${printSigned(set, 2)} dB.`,
          lamp: `Offset ${printSigned(set, 1)} dB on the instrument`,
        }),
      ]
    : [check('offset', 'ok', { title, text: 'The difference is put right here.' })]
}
