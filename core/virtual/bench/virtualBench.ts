import type { Chain, Instrument, PowerMeter, SpectrumAnalyser } from '../../chain'
import { SCPI_ERRORS, scpiNumber } from '../../link'
import { displayedDbm, displayedMeterDbm, drawAnalyser } from '../simulatedDisplay'
import { drawPartErrors, levelAtInstrument } from '../simulatedPath'
import { seededRandom } from '../seededRandom'
import { type Keyed, type VirtualRadio, virtualRadio } from './radio'
import { type CommandRun, InstrumentError, type ScpiInstrument, scpiInstrument } from './scpiInstrument'

/** What is plugged into what, and who is keyed. */
export interface VirtualSetting {
  chain: Chain
  instrument: Instrument
  /** null: nobody is. */
  keyed: Keyed | null
}

/** A bench whose truth is known: radios, what chains really lose, instruments that answer by lines. */
export interface VirtualBench {
  /** A radio by its id. */
  radio: (id: string) => VirtualRadio
  /** The instrument at the end of a chain that a radio is plugged into. */
  instrument: (radioId: string, setting: () => VirtualSetting) => ScpiInstrument
  /** What was damaged, in words. */
  damage: () => readonly string[]
}

/** Output VSWR of a simulated radio. */
const RADIO_VSWR = 1.5

/** A bench from a seed. The same seed, radios and chains are the same bench. */
export function virtualBench(seed: number): VirtualBench {
  const radios = new Map<string, VirtualRadio>()
  const damaged: string[] = []
  const radio = (id: string): VirtualRadio => {
    const known = radios.get(id) ?? virtualRadio(hashed(`${seed}:${id}`))
    radios.set(id, known)
    return known
  }
  return {
    radio,
    instrument: (radioId, setting) => spoken(seed, { radio: radio(radioId), setting, damaged }),
    damage: () => damaged,
  }
}

interface Plugged {
  radio: VirtualRadio
  setting: () => VirtualSetting
  damaged: string[]
}

function spoken(seed: number, plugged: Plugged): ScpiInstrument {
  const { instrument } = plugged.setting()
  switch (instrument.kind) {
    case 'power-meter':
      return powerMeter(seed, plugged)
    case 'spectrum-analyser':
      return analyser(seed, plugged)
    default:
      throw new Error(`There is no ${instrument.kind} on the virtual bench.`)
  }
}

/** A level of the radio as it arrives at the instrument, with what the chain really loses. */
function arriving(seed: number, { setting }: Plugged, levelDbm: number, frequencyHz: number): number {
  const { chain, instrument } = setting()
  // What a part is off by is the same whenever it is looked at.
  const random = seededRandom(hashed(`${seed}:${chain.id}:${frequencyHz}`))
  const errors = drawPartErrors(chain, instrument, frequencyHz, seededRandom(hashed(`${seed}:${chain.id}`)))
  return levelAtInstrument(
    chain,
    instrument,
    { levelDbm, frequencyHz, sourceVswr: RADIO_VSWR, errors },
    random,
  )
}

/** Beyond its range a display does not follow. */
const NEAR_HZ = 50e3

function powerMeter(seed: number, plugged: Plugged): ScpiInstrument {
  const random = seededRandom(hashed(`${seed}:meter`))
  let unit: 'DBM' | 'W' = 'DBM'
  const read: CommandRun = () => {
    const { instrument, keyed, chain } = plugged.setting()
    if (!keyed) return unit === 'W' ? '0.0000E+00' : '-9.0000E+01'
    const inputDbm = arriving(seed, plugged, plugged.radio.carrierDbm(keyed), keyed.carrierHz)
    const shownDbm =
      displayedMeterDbm(instrument as PowerMeter, inputDbm, random) + chain.offsetOnInstrumentDb
    return (unit === 'W' ? 10 ** ((shownDbm - 30) / 10) : shownDbm).toExponential(4).toUpperCase()
  }
  return scpiInstrument({
    identity: 'VIRTUAL BENCH,POWER METER,0,1',
    reset: () => (unit = 'DBM'),
    commands: {
      'UNIT:POWer': ([name = '']) => {
        const upper = name.toUpperCase()
        if (upper !== 'DBM' && upper !== 'W') throw new InstrumentError(SCPI_ERRORS.dataType)
        unit = upper
      },
      '[SENSe:]FREQuency': args => void numberIn(args, { from: 1, to: 1e12 }),
      'MEASure[:POWer][:AC]?': read,
      'READ?': read,
    },
  })
}

function analyser(seed: number, plugged: Plugged): ScpiInstrument {
  const random = seededRandom(hashed(`${seed}:analyser`))
  const truth = drawAnalyser(
    plugged.setting().instrument as SpectrumAnalyser,
    seededRandom(hashed(`${seed}:truth`)),
  )
  const DEFAULTS = { centreHz: 100e6, spanHz: 1e6, markerDbm: null as number | null }
  let state = { ...DEFAULTS }

  /** The strongest there is within the span; the noise where there is nothing. */
  function strongest(): number {
    const { instrument, keyed, chain } = plugged.setting()
    const own = instrument as SpectrumAnalyser
    const half = Math.max(NEAR_HZ, state.spanHz / 2)
    const inputs = keyed
      ? Array.from({ length: 12 }, (_unused, i) => i + 1)
          .filter(n => Math.abs(n * keyed.carrierHz - state.centreHz) <= half)
          .map(n => arriving(seed, plugged, plugged.radio.harmonicDbm(keyed, n), n * keyed.carrierHz))
      : []
    if (keyed) bear(own)
    if (state.centreHz < own.fromHz || state.centreHz > own.toHz)
      throw new InstrumentError(SCPI_ERRORS.outOfRange)
    const most = Math.max(-200, ...inputs)
    return displayedDbm(own, truth, most, random) + chain.offsetOnInstrumentDb
  }

  /** What arrives at once must not be more than the input bears. */
  function bear(own: SpectrumAnalyser): void {
    const { keyed } = plugged.setting()
    if (!keyed) return
    const inputDbm = arriving(seed, plugged, plugged.radio.carrierDbm(keyed), keyed.carrierHz)
    const words = `${own.name}: its input got ${inputDbm.toFixed(1)} dBm and bears ${own.damageDbm}`
    if (inputDbm > own.damageDbm && !plugged.damaged.includes(words)) plugged.damaged.push(words)
    if (plugged.damaged.some(one => one.startsWith(`${own.name}:`)))
      throw new InstrumentError({ code: -240, words: 'Hardware error; input damaged' })
  }

  return scpiInstrument({
    identity: 'VIRTUAL BENCH,SPECTRUM ANALYSER,0,1',
    reset: () => (state = { ...DEFAULTS }),
    commands: {
      '[SENSe:]FREQuency:CENTer': args => void (state.centreHz = numberIn(args, { from: 1, to: 1e12 })),
      '[SENSe:]FREQuency:SPAN': args => void (state.spanHz = numberIn(args, { from: 0, to: 1e11 })),
      '[SENSe:]BANDwidth[:RESolution]': args => void numberIn(args, { from: 1, to: 1e8 }),
      'FORMat[:DATA]': ([name = '']) => {
        if (!/^ASC/i.test(name)) throw new InstrumentError(SCPI_ERRORS.dataType)
      },
      'INITiate[:IMMediate]': () => undefined,
      'CALCulate:MARKer:MAXimum': () => void (state.markerDbm = strongest()),
      'CALCulate:MARKer:Y?': () => {
        if (state.markerDbm === null) throw new InstrumentError(SCPI_ERRORS.settingsConflict)
        return state.markerDbm.toExponential(4).toUpperCase()
      },
    },
  })
}

function numberIn([text]: readonly string[], { from, to }: { from: number; to: number }): number {
  if (text === undefined) throw new InstrumentError(SCPI_ERRORS.missingParameter)
  const value = scpiNumber(text)
  if (value === null) throw new InstrumentError(SCPI_ERRORS.dataType)
  if (value < from || value > to) throw new InstrumentError(SCPI_ERRORS.outOfRange)
  return value
}

/** A seed from a text (FNV-1a, 32 bit). */
function hashed(text: string): number {
  let hash = 0x811c9dc5
  for (const char of text) hash = Math.imul(hash ^ char.charCodeAt(0), 0x01000193)
  return hash >>> 0
}
