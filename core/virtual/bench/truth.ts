import type { Instrument, SignalGenerator } from '../../chain'
import { drawPartErrors, levelAtInstrument, type PartErrors } from '../simulatedPath'
import { seededRandom } from '../seededRandom'
import { type VirtualRadio, virtualRadio } from './radio'
import { seedOf } from './seedOf'
import type { Plug, RadioDoes } from './setting'

/** A signal that is there whatever the radio does. */
export interface AmbientSignal {
  frequencyHz: number
  /** At the instrument, dBm. */
  levelDbm: number
}

/** What a generator is off by. */
export interface GeneratorTruth {
  /** What it gives less what it shows, dB. */
  levelErrorDb: number
  /** What its frequency is off by, parts per million. */
  ppm: number
}

/** What is true of a bench, whatever is written down of it. */
export interface BenchTruth {
  radio: (id: string) => VirtualRadio
  /** A way as it really stands: another pad than is written down, an offset that was left on the instrument. */
  plug: (plug: Plug) => Plug
  /** What the radio really does where it was told to do something: dual watch, a tone that is wanted. */
  does: (radio: RadioDoes) => RadioDoes
  partErrors: (plug: Plug, frequencyHz: number) => PartErrors
  generator: (generator: SignalGenerator) => GeneratorTruth
  ambient: () => readonly AmbientSignal[]
}

/** The truth of a bench that is just what is written down of it, within what is written down of its doubts. */
export function truthFromSeed(seed: number): BenchTruth {
  const radios = new Map<string, VirtualRadio>()
  return {
    radio: id => {
      const known = radios.get(id) ?? virtualRadio(seedOf(`${seed}:${id}`))
      radios.set(id, known)
      return known
    },
    plug: plug => plug,
    does: radio => radio,
    partErrors: ({ chain, instrument }, frequencyHz) =>
      drawPartErrors(chain, instrument, frequencyHz, seededRandom(seedOf(`${seed}:${chain.id}`))),
    generator: generator => {
      const random = seededRandom(seedOf(`${seed}:${generator.id}`))
      const within = (half: number) => half * (2 * random() - 1)
      return { levelErrorDb: within(generator.levelAccuracyDb), ppm: within(generator.referencePpm ?? 1) }
    },
    ambient: () => [],
  }
}

/** VSWR of a simulated radio, at its output as at its input. */
const RADIO_VSWR = 1.5

/** A level sent into one end of a way as it arrives at the other, with what the way really loses, dBm. */
export function arrivingDbm(
  { truth, seed }: { truth: BenchTruth; seed: number },
  plug: Plug,
  { levelDbm, frequencyHz }: { levelDbm: number; frequencyHz: number },
): number {
  const { chain, instrument } = plug
  // What a part is off by is the same whenever it is looked at.
  const random = seededRandom(seedOf(`${seed}:${chain.id}:${frequencyHz}`))
  const errors = truth.partErrors(plug, frequencyHz)
  return levelAtInstrument(
    chain,
    instrument,
    { levelDbm, frequencyHz, sourceVswr: RADIO_VSWR, errors },
    random,
  )
}

/** Whether a way ends in an instrument of a kind. */
export function isOf<K extends Instrument['kind']>(
  plug: Plug | undefined,
  kind: K,
): plug is Plug & { instrument: Extract<Instrument, { kind: K }> } {
  return plug?.instrument.kind === kind
}
