import type { RoleId } from '../../review'
import type { SpokenKind } from '../../link'
import { wattsFromDbm } from '../../quantity'
import { analyser } from './instruments/analyser'
import { antennaAnalyser } from './instruments/antennaAnalyser'
import { audioAnalyser } from './instruments/audioAnalyser'
import { counter } from './instruments/counter'
import { generator, type VirtualGenerator } from './instruments/generator'
import { modulationAnalyser } from './instruments/modulationAnalyser'
import type { InstrumentPlace } from './instruments/place'
import { powerMeter } from './instruments/powerMeter'
import { supply } from './instruments/supply'
import { burningParts, withBurnt } from './heat'
import type { ScpiInstrument } from './scpiInstrument'
import type { Keyed } from './radio'
import type { RadioDoes, StandSetting } from './setting'
import type { BenchTruth } from './truth'

/** Role of what reads a transmitter. */
const READING_ROLE = 'instrument'
/** Roles of the two generators of a bench. */
export const WANTED_ROLE = 'generator'
/** The generator that disturbs. */
export const INTERFERER_ROLE = 'interferer'

/** One radio on the bench with all that is plugged into it; instruments keep what they were told. */
export interface VirtualStand {
  /** What stands at a role, as an instrument of a kind. */
  instrument: (role: RoleId, kind: SpokenKind) => ScpiInstrument
}

/** What a bench shares with its stands. */
export interface StandOf {
  seed: number
  truth: BenchTruth
  radioId: string
  setting: () => StandSetting
  damaged: string[]
  /** Parts that burnt, by id. */
  burnt: Set<string>
}

const MAKERS: Readonly<
  Record<Exclude<SpokenKind, 'signal-generator'>, (place: InstrumentPlace) => ScpiInstrument>
> = {
  'power-meter': powerMeter,
  'spectrum-analyser': analyser,
  'audio-analyser': place => audioAnalyser(place, { wanted: WANTED_ROLE, interferer: INTERFERER_ROLE }),
  'antenna-analyser': antennaAnalyser,
  'modulation-analyser': modulationAnalyser,
  supply,
  counter,
}

/** A stand: its instruments are made when somebody first speaks to them. */
export function virtualStand({
  seed,
  truth: given,
  radioId,
  setting,
  damaged,
  burnt,
}: StandOf): VirtualStand {
  const truth: BenchTruth = {
    ...given,
    partErrors: (plug, frequencyHz) => withBurnt(given.partErrors(plug, frequencyHz), plug, burnt),
  }
  const made = new Map<string, ScpiInstrument>()
  const generators = new Map<RoleId, VirtualGenerator>()
  const damage = (words: string): void => {
    const name = words.slice(0, words.indexOf(':') + 1)
    if (!damaged.some(one => one.startsWith(name))) damaged.push(words)
  }
  /** Whoever is kept keyed heats what it is plugged into; what burnt stays so. */
  const heat = (keyed: Keyed): void => {
    const plug = setting().plugs[READING_ROLE]
    if (!plug) return
    const { forS = 0, carrierHz } = keyed
    const carrierDbm = truth.radio(radioId).carrierDbm(keyed)
    for (const part of burningParts(truth.plug(plug), { carrierDbm, frequencyHz: carrierHz, forS })) {
      burnt.add(part.id)
      damage(
        `${part.name}: kept keyed with ${wattsFromDbm(carrierDbm).toPrecision(2)} W for ${forS.toFixed(0)} s it burnt`,
      )
    }
  }
  /** What the radio does; keyed into a generator it does what it does on a real bench. */
  const doesNow = (): RadioDoes => {
    const { plugs, radio } = setting()
    const does = truth.does(radio)
    if (does.is === 'keyed' && !plugs[READING_ROLE])
      for (const { chain, instrument } of Object.values(plugs)) {
        if (instrument.kind !== 'signal-generator' || chain.joins) continue
        const watts = wattsFromDbm(truth.radio(radioId).carrierDbm(does.keyed))
        // What nobody says it bears it does not.
        if (watts > (instrument.reverseW ?? 0))
          damage(`${instrument.name}: the radio was keyed into it through “${chain.name}”`)
      }
    if (does.is === 'keyed') heat(does.keyed)
    return does
  }
  const placeOf = (role: RoleId): InstrumentPlace => ({
    ...{ seed, truth, role },
    radio: () => truth.radio(radioId),
    plug: at => {
      const plug = setting().plugs[at]
      return plug && truth.plug(plug)
    },
    does: doesNow,
    output: at => generators.get(at)?.output() ?? null,
    damage,
    isDamaged: name => damaged.some(words => words.startsWith(`${name}:`)),
  })
  const generatorAt = (role: RoleId): ScpiInstrument => {
    const known = generators.get(role) ?? generator(placeOf(role))
    generators.set(role, known)
    return known.instrument
  }
  return {
    instrument: (role, kind) => {
      if (kind === 'signal-generator') return generatorAt(role)
      const key = `${role}:${kind}`
      const known = made.get(key) ?? MAKERS[kind](placeOf(role))
      made.set(key, known)
      return known
    },
  }
}
