import type { Chain, Instrument } from '../../chain'
import { spokenKindOf } from '../../link'
import type { Keyed, VirtualRadio } from './radio'
import type { ScpiInstrument } from './scpiInstrument'
import type { StandSetting } from './setting'
import { virtualStand, type VirtualStand } from './stand'
import { type BenchTruth, truthFromSeed } from './truth'

/** What is plugged into what, and who is keyed: one radio at one instrument. */
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
  /** A radio with everything that is plugged into it. */
  stand: (radioId: string, setting: () => StandSetting) => VirtualStand
  /** What was damaged, in words. */
  damage: () => readonly string[]
}

/** The one role of a stand with one instrument. */
const ONLY = 'instrument'

/**
 * A bench from a seed: the same seed, radios and chains are the same bench.
 * @param truths - what is true in place of what the seed says.
 */
export function virtualBench(seed: number, truths: Partial<BenchTruth> = {}): VirtualBench {
  const truth = { ...truthFromSeed(seed), ...truths }
  const damaged: string[] = []
  const burnt = new Set<string>()
  const stand: VirtualBench['stand'] = (radioId, setting) =>
    virtualStand({ seed, truth, radioId, setting, damaged, burnt })
  return {
    radio: truth.radio,
    stand,
    instrument: (radioId, setting) => {
      const kind = spokenKindOf(setting().instrument)
      if (!kind) throw new Error(`There is no ${setting().instrument.kind} on the virtual bench.`)
      return stand(radioId, () => {
        const { chain, instrument, keyed } = setting()
        return {
          plugs: { [ONLY]: { chain, instrument } },
          radio: keyed ? { is: 'keyed', keyed } : { is: 'off' },
        }
      }).instrument(ONLY, kind)
    },
    damage: () => damaged,
  }
}
