import { channelWidthHz, testDeviationHz } from '../../../hearing'
import { phaseNoiseAt } from '../../../chain'
import type { RoleId } from '../../../review'
import { gaussian } from '../../simulatedPath'
import { seededRandom } from '../../seededRandom'
import { asWritten } from '../arguments'
import {
  type Arriving,
  type ArrivingTogether,
  heardRatio,
  heldOfRatio,
  noiseOfRatio,
  sinadOfRatio,
} from '../hearing'
import { type ScpiInstrument, scpiInstrument } from '../scpiInstrument'
import { seedOf } from '../seedOf'
import type { RadioDoes } from '../setting'
import { arrivingDbm, isOf } from '../truth'
import type { InstrumentPlace } from './place'

/** What one reading scatters about the truth, dB: more where clicks come and go. */
const SCATTER_DB = { steady: 0.1, clicking: 0.3 } as const
const CLICKING_BELOW_DB = 15
/** A squelch listens to noise: what its edges scatter by, dB. */
const SQUELCH_SCATTER_DB = 0.2
/** What a reading of volts scatters, parts of one. */
const VOLTS_SCATTER = 0.003

type Hears = RadioDoes & { is: 'hears' }

/** An audio analyser at the speaker: SINAD, and volts; nothing while the squelch is shut. */
export function audioAnalyser(
  place: InstrumentPlace,
  roles: { wanted: RoleId; interferer: RoleId },
): ScpiInstrument {
  const random = seededRandom(seedOf(`${place.seed}:audio`))
  let isOpen = false

  /** What a generator at a role sends into the radio. */
  function arriving(role: RoleId, does: Hears): Arriving | null {
    const plug = place.plug(role)
    const output = place.output(role)
    if (!output || !isOf(plug, 'signal-generator')) return null
    const offsetHz = output.frequencyHz - does.channelHz
    const { dbcPerHz } = phaseNoiseAt(plug.instrument, Math.max(does.spacingHz, Math.abs(offsetHz)))
    return {
      levelDbm: arrivingDbm(place, plug, output),
      offsetHz,
      noiseBelowDb:
        role === roles.interferer ? -dbcPerHz - 10 * Math.log10(channelWidthHz(does.spacingHz)) : null,
    }
  }

  /** What is heard: carrier to noise behind the squelch; null while nothing is. */
  function heard(): { does: Hears; ratio: number } | null {
    const does = place.does()
    if (does.is !== 'hears') return null
    const { hearing } = place.radio()
    const { spacingHz } = does
    const wanted = arriving(roles.wanted, does)
    const feltDbm = (wanted?.levelDbm ?? -Infinity) + SQUELCH_SCATTER_DB * gaussian(random)
    isOpen = feltDbm >= hearing.squelchDbm[isOpen ? 'close' : 'open']
    if (!does.squelchIsOpen && !isOpen) return null
    const together: ArrivingTogether = { wanted, interferer: arriving(roles.interferer, does), spacingHz }
    return { does, ratio: heardRatio(hearing, together) }
  }

  function sinadDb(): number {
    const now = heard()
    if (!now) return 0
    const trueDb = sinadOfRatio(place.radio().hearing, now.ratio)
    const scatter = trueDb < CLICKING_BELOW_DB ? SCATTER_DB.clicking : SCATTER_DB.steady
    return Math.max(0, trueDb + scatter * gaussian(random))
  }

  /** Volts across the load: the tone as far as noise leaves it, noise, and hum. */
  function volts(): number {
    const now = heard()
    if (!now) return 0
    const { hearing, speaker } = place.radio()
    const { does, ratio } = now
    const modulation = place.output(roles.wanted)?.modulation ?? null
    const swing = (modulation?.deviationHz ?? 0) / testDeviationHz(does.spacingHz)
    const tone = modulation
      ? swing * 10 ** (speaker.responseDb(modulation.toneHz) / 20) * heldOfRatio(ratio)
      : 0
    const noise = ratio > 0 ? Math.min(1, noiseOfRatio(hearing, ratio)) : 1
    const all = Math.sqrt(tone ** 2 + noise + 10 ** (speaker.humDb / 10))
    const scaleV = does.volume === 'rated' ? speaker.ratedV : speaker.usualV
    return scaleV * all * (1 + VOLTS_SCATTER * gaussian(random))
  }

  return scpiInstrument({
    identity: 'VIRTUAL BENCH,AUDIO ANALYSER,0,1',
    reset: () => undefined,
    commands: {
      'MEASure:SINad?': () => asWritten(sinadDb()),
      'MEASure[:VOLTage][:AC]?': () => asWritten(volts()),
    },
  })
}
