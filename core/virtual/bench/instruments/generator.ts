import type { SignalGenerator } from '../../../chain'
import { SCPI_ERRORS } from '../../../link'
import { asWritten, numberIn, switchIn } from '../arguments'
import { InstrumentError, type ScpiInstrument, scpiInstrument } from '../scpiInstrument'
import { isOf } from '../truth'
import type { GeneratorOutput, InstrumentPlace } from './place'

/** A generator, and what it gives out. */
export interface VirtualGenerator {
  instrument: ScpiInstrument
  output: () => GeneratorOutput | null
}

/** A signal generator: off, and at its lowest level, until it is told. */
export function generator(place: InstrumentPlace): VirtualGenerator {
  const own = (): SignalGenerator => {
    const plug = place.plug(place.role)
    if (!isOf(plug, 'signal-generator')) throw new InstrumentError(SCPI_ERRORS.settingsConflict)
    return plug.instrument
  }
  const DEFAULTS = {
    ...{ frequencyHz: 100e6, levelDbm: null as number | null, isOn: false },
    ...{ deviationHz: 3000, toneHz: 1000, isModulated: false },
  }
  let state = { ...DEFAULTS }
  const level = () => state.levelDbm ?? own().lowestDbm

  function output(): GeneratorOutput | null {
    const plug = place.plug(place.role)
    if (!state.isOn || !isOf(plug, 'signal-generator')) return null
    if (place.isDamaged(plug.instrument.name)) return null
    const { levelErrorDb, ppm } = place.truth.generator(plug.instrument)
    const { toneHz, deviationHz, isModulated } = state
    return {
      frequencyHz: state.frequencyHz * (1 + ppm * 1e-6),
      levelDbm: level() + levelErrorDb,
      modulation: isModulated && deviationHz > 0 ? { toneHz, deviationHz } : null,
    }
  }

  const instrument = scpiInstrument({
    identity: 'VIRTUAL BENCH,SIGNAL GENERATOR,0,1',
    reset: () => (state = { ...DEFAULTS }),
    commands: {
      '[SOURce:]FREQuency[:CW]': args =>
        void (state.frequencyHz = numberIn(args, { from: own().fromHz, to: own().toHz })),
      '[SOURce:]FREQuency[:CW]?': () => asWritten(state.frequencyHz, 9),
      '[SOURce:]POWer[:LEVel]': args =>
        void (state.levelDbm = numberIn(args, { from: own().lowestDbm, to: own().highestDbm })),
      '[SOURce:]POWer[:LEVel]?': () => asWritten(level()),
      '[SOURce:]FM:DEViation': args => void (state.deviationHz = numberIn(args, { from: 0, to: 1e6 })),
      '[SOURce:]FM:INTernal:FREQuency': args => void (state.toneHz = numberIn(args, { from: 1, to: 1e5 })),
      '[SOURce:]FM:STATe': args => void (state.isModulated = switchIn(args)),
      'OUTPut[:STATe]': args => void (state.isOn = switchIn(args)),
      'OUTPut[:STATe]?': () => (state.isOn ? '1' : '0'),
    },
  })
  return { instrument, output }
}
