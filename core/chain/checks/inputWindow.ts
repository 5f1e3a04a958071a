import { printDbm, printDb, wattsFromDbm, printClaimW, printWatts } from '../../quantity'
import type { LevelStairs } from '../levelStairs'
import type { SpectrumAnalyser, Receiver, PowerMeter } from '../types'
import { type BenchCheckInput, type BenchCheck, check, powerInWords } from './check'

/** A carrier this near the damage level, dB, earns a caution. */
const NEAR_DAMAGE_DB = 3

/** Checks of the level an analyser or a receiver gets, dBm: damage, overload, or well within. */
export function analyserWindow(
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
        text:
          `At ${powerInWords(input)} this chain lacks ${printDb(Math.ceil(10 - below), 0)} of ` +
          'padding. Do not key up.',
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
        title:
          `${arrives}, above the ${printDbm(analyser.overloadDbm, 0)} where it starts to make ` +
          'harmonics of its own.',
        text:
          `Add ${printDb(Math.ceil(level - analyser.overloadDbm), 0)} or more, ` +
          'or what you read may not be the radio.',
        lamp: below < NEAR_DAMAGE_DB ? null : 'Analyser overloaded',
      }),
    )
  if (checks.length === 0)
    checks.push(
      check('damage', 'ok', {
        title:
          `${arrives}: ${printDb(below, 0)} below damage, ` +
          `${printDb(analyser.overloadDbm - level, 0)} below overload.`,
        lamp: `${short(analyser)} ${printDb(below, 0)} below damage`,
      }),
    )
  return checks
}

function short(instrument: SpectrumAnalyser | Receiver): string {
  return instrument.kind === 'receiver' ? 'Receiver' : 'Analyser'
}

/** Checks of the power a meter gets, W: more than it bears, off its scale, or within. */
export function meterWindow(meter: PowerMeter, stairs: LevelStairs, input: BenchCheckInput): BenchCheck[] {
  if (stairs.atInstrumentDbm === null) return []
  const powerW = wattsFromDbm(stairs.atInstrumentDbm)
  if (powerW > meter.maxInputW * 1.0001)
    return [
      check('damage', 'danger', {
        title:
          `${meter.name} takes ${printClaimW(meter.maxInputW)} at most, ` +
          `and would get ${printWatts(powerW, 2)} at ${powerInWords(input)}.`,
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
