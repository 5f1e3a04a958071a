import type { SpectrumAnalyser } from '../../../chain'
import { SCPI_ERRORS } from '../../../link'
import { displayedDbm, drawAnalyser } from '../../simulatedDisplay'
import { gaussian } from '../../simulatedPath'
import { seededRandom } from '../../seededRandom'
import { asWritten, numberIn } from '../arguments'
import type { Keyed } from '../radio'
import { InstrumentError, type ScpiInstrument, scpiInstrument } from '../scpiInstrument'
import { seedOf } from '../seedOf'
import type { Plug } from '../setting'
import { arrivingDbm, isOf } from '../truth'
import type { InstrumentPlace } from './place'
import { asBlock, type Detector, traceOf } from './trace'

/** Harmonics that are looked at. */
const HARMONICS = 12
/** Beyond its range a display does not follow. */
const NEAR_HZ = 50e3
/** What a marker on a line scatters from one sweep to the next, dB. */
const SCATTER_DB = 0.05
/** Its own harmonics just where it begins to make them, dB below what comes in, and how they grow with it. */
const OWN = { second: { belowDb: 70, growsBy: 1 }, third: { belowDb: 80, growsBy: 2 } } as const

/** How detectors are spelt (SCPI-99, from memory). */
const DETECTORS: readonly { is: Detector; spelt: RegExp }[] = [
  { is: 'normal', spelt: /^NORM(?:AL)?$/i },
  { is: 'peak', spelt: /^POS(?:ITIVE)?$/i },
  { is: 'sample', spelt: /^SAMP(?:LE)?$/i },
  { is: 'mean', spelt: /^AVER(?:AGE)?$/i },
]

/** A line at an analyser’s input. */
export interface InputLine {
  frequencyHz: number
  levelDbm: number
}

type AnalyserPlug = Plug & { instrument: SpectrumAnalyser }

/** A spectrum analyser: a marker on the strongest there is, or a whole trace. */
export function analyser(place: InstrumentPlace): ScpiInstrument {
  const random = seededRandom(seedOf(`${place.seed}:analyser`))
  const DEFAULTS = {
    ...{ centreHz: 100e6, spanHz: 1e6, bandwidthHz: 10e3, points: 1001 },
    ...{ isBlock: false, markerDbm: null as number | null, detector: 'normal' as Detector },
  }
  let state = { ...DEFAULTS }

  function plugged(): AnalyserPlug {
    const plug = place.plug(place.role)
    if (!isOf(plug, 'spectrum-analyser')) throw new InstrumentError(SCPI_ERRORS.settingsConflict)
    return plug
  }

  /** Everything that comes in, with what its own input makes of it. */
  function lines(plug: AnalyserPlug): InputLine[] {
    const does = place.does()
    const radio = does.is === 'keyed' ? carrierAndHarmonics(place, plug, does.keyed) : []
    if (radio[0]) bear(place, plug.instrument, radio[0].levelDbm)
    const spurs = does.is === 'keyed' ? spursOf(place, plug, does.keyed) : []
    return [...radio, ...spurs, ...place.truth.ambient()]
  }

  const truthOf = (own: SpectrumAnalyser) => drawAnalyser(own, seededRandom(seedOf(`${place.seed}:truth`)))

  function strongest(): number {
    const plug = plugged()
    const own = plug.instrument
    const half = Math.max(NEAR_HZ, state.spanHz / 2)
    const near = lines(plug).filter(line => Math.abs(line.frequencyHz - state.centreHz) <= half)
    if (state.centreHz < own.fromHz || state.centreHz > own.toHz)
      throw new InstrumentError(SCPI_ERRORS.outOfRange)
    const most = Math.max(-200, ...near.map(({ levelDbm }) => levelDbm))
    // How flat it is goes with the frequency: at one frequency it is off by the same every time.
    const flat = seededRandom(seedOf(`${place.seed}:${own.id}:flat:${Math.round(state.centreHz)}`))()
    const scattered = most + SCATTER_DB * gaussian(random)
    return displayedDbm(own, truthOf(own), scattered, () => flat) + plug.chain.offsetOnInstrumentDb
  }

  function trace(): Float64Array {
    const plug = plugged()
    const own = plug.instrument
    const shownAs = { offsetDb: plug.chain.offsetOnInstrumentDb, floorDbm: truthOf(own).floorDbm }
    return traceOf(lines(plug), { ...state, ...shownAs, floorAtHz: own.resolutionBandwidthHz }, random)
  }

  return scpiInstrument({
    identity: 'VIRTUAL BENCH,SPECTRUM ANALYSER,0,1',
    reset: () => (state = { ...DEFAULTS }),
    commands: {
      '[SENSe:]FREQuency:CENTer': args => void (state.centreHz = numberIn(args, { from: 1, to: 1e12 })),
      '[SENSe:]FREQuency:SPAN': args => void (state.spanHz = numberIn(args, { from: 0, to: 1e11 })),
      '[SENSe:]BANDwidth[:RESolution]': args =>
        void (state.bandwidthHz = numberIn(args, { from: 1, to: 1e8 })),
      '[SENSe:]SWEep:POINts': args => void (state.points = numberIn(args, { from: 11, to: 100_001 })),
      '[SENSe:]DETector[:FUNCtion]': ([name = '']) => {
        const detector = DETECTORS.find(({ spelt }) => spelt.test(name))
        if (!detector) throw new InstrumentError(SCPI_ERRORS.dataType)
        state.detector = detector.is
      },
      'FORMat[:DATA]': ([name = '']) => {
        if (!/^(?:ASC(?:II)?|REAL)$/i.test(name)) throw new InstrumentError(SCPI_ERRORS.dataType)
        state.isBlock = /^REAL/i.test(name)
      },
      'INITiate[:IMMediate]': () => undefined,
      'CALCulate:MARKer:MAXimum': () => void (state.markerDbm = strongest()),
      'CALCulate:MARKer:Y?': () => {
        if (state.markerDbm === null) throw new InstrumentError(SCPI_ERRORS.settingsConflict)
        return asWritten(state.markerDbm)
      },
      'TRACe[:DATA]?': () => {
        const levels = trace()
        return state.isBlock ? asBlock(levels) : Array.from(levels, level => level.toFixed(2)).join(',')
      },
    },
  })
}

/** The carrier and its harmonics as they arrive, each with what the input adds to it once it is driven too hard. */
function carrierAndHarmonics(place: InstrumentPlace, plug: AnalyserPlug, keyed: Keyed): InputLine[] {
  const carrierHz = place.radio().carrierHz(keyed)
  const arriving = Array.from({ length: HARMONICS }, (_unused, i) => {
    const frequencyHz = (i + 1) * keyed.carrierHz
    const levelDbm = arrivingDbm(place, plug, {
      levelDbm: place.radio().harmonicDbm(keyed, i + 1),
      frequencyHz,
    })
    return { frequencyHz: (i + 1) * carrierHz, levelDbm }
  })
  const [carrier] = arriving
  return arriving.map((line, i) => {
    const ownDbm = ownHarmonicDbm(i + 1, carrier!.levelDbm, plug.instrument.overloadDbm)
    return ownDbm === null ? line : { ...line, levelDbm: powerSum(line.levelDbm, ownDbm) }
  })
}

function spursOf(place: InstrumentPlace, plug: AnalyserPlug, keyed: Keyed): InputLine[] {
  return place
    .radio()
    .spurs(keyed)
    .map(({ frequencyHz, levelDbm }) => ({
      frequencyHz,
      levelDbm: arrivingDbm(place, plug, { levelDbm, frequencyHz }),
    }))
}

/**
 * What an analyser’s own input makes of a carrier at n times it, dBm: the second grows by 2 dB with each dB that comes
 * in, the third by 3; so with 10 dB more of pad they fall by 10 and 20 dB against what is real.
 */
export function ownHarmonicDbm(n: number, carrierDbm: number, overloadDbm: number): number | null {
  const own = n === 2 ? OWN.second : n === 3 && OWN.third
  if (!own) return null
  return carrierDbm - own.belowDb + own.growsBy * (carrierDbm - overloadDbm)
}

function powerSum(oneDbm: number, otherDbm: number): number {
  return 10 * Math.log10(10 ** (oneDbm / 10) + 10 ** (otherDbm / 10))
}

/** What arrives at once must not be more than the input bears. @throws InstrumentError once it is damaged */
function bear(place: InstrumentPlace, own: SpectrumAnalyser, inputDbm: number): void {
  if (inputDbm > own.damageDbm)
    place.damage(`${own.name}: its input got ${inputDbm.toFixed(1)} dBm and bears ${own.damageDbm}`)
  if (place.isDamaged(own.name))
    throw new InstrumentError({ code: -240, words: 'Hardware error; input damaged' })
}
