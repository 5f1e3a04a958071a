import { printFrequencyShort, printMhz, printNumber, printSigned } from '../quantity'
import { chainLossAt } from './chainLoss'
import { chainPath } from './chainPath'
import { type LevelStairs, levelStairsFromWatts } from './levelStairs'
import { reachAt } from './reach'
import { calibrationAges } from './calibrationAge'
import type { Instrument } from './types'
import type { CheckSeverity, BenchCheck, BenchCheckInput } from './checks/check'
import { check } from './checks/check'
import { heat, throughPorts } from './checks/heatChecks'
import { audioChecks } from './checks/audioChecks'
import { generatorWindow } from './checks/generatorChecks'
import { analyserWindow, meterWindow } from './checks/inputWindow'
import { floorAgainstLimit, reach } from './checks/reachChecks'

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
  if (WITHOUT_CARRIER.includes(instrument.kind)) return audioChecks(instrument)
  const stairs = levelStairsFromWatts(chain, instrument, {
    powerW: input.powerW,
    frequencyHz: input.carrierHz,
  })
  const checks = [
    ...openEnd(input, instrument),
    ...unknownLoss(input, instrument, stairs),
    // Nobody keys a radio into a generator: what it would do there is said by the generator’s own check.
    ...(instrument.kind === 'signal-generator' ? [] : [...heat(input, stairs), ...throughPorts(input)]),
    ...windowOf(input, instrument, stairs),
    ...reach(input, instrument),
    ...(instrument.kind === 'signal-generator' ? [] : offset(input, instrument)),
    ...calibrations(input),
  ]
  return checks.sort((a, b) => ORDER.indexOf(a.severity) - ORDER.indexOf(b.severity))
}

/** Instruments at the far end of audio or of an antenna: no carrier of the radio is led into them. */
const WITHOUT_CARRIER: readonly Instrument['kind'][] = ['audio-meter', 'ac-voltmeter', 'antenna-analyser']

function windowOf(input: BenchCheckInput, instrument: Instrument, stairs: LevelStairs): BenchCheck[] {
  switch (instrument.kind) {
    case 'power-meter':
      return meterWindow(instrument, stairs, input)
    case 'spectrum-analyser':
      return [...analyserWindow(instrument, stairs, input), ...floorAgainstLimit(input, instrument)]
    case 'receiver':
      return analyserWindow(instrument, stairs, input)
    case 'signal-generator':
      return generatorWindow(instrument, stairs, input)
    default:
      return []
  }
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

const AGES = ['today', 'yesterday']

function calibrations(input: BenchCheckInput): BenchCheck[] {
  if (!input.calibration) return []
  return calibrationAges(input.chain, input.calibration).map(({ partId, partName, days, stale }) =>
    stale
      ? check(`calibration:${partId}`, 'caution', {
          title:
            `${partName} was measured ${days} days ago, ` +
            `more than the ${input.calibration!.maxAgeDays} days this review allows.`,
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
          text:
            `That is up to ${printNumber(off, 1)} dB apart. Readings are put right here, ` +
            `as long as the instrument really is set to ${printSigned(set, 2)} dB.`,
          lamp: `Offset ${printSigned(set, 1)} dB on the instrument`,
        }),
      ]
    : [check('offset', 'ok', { title, text: 'The difference is put right here.' })]
}
