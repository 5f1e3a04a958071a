import { useIntervalFn } from '@vueuse/core'
import { phrasebooks, readAnswer } from '#core/link'
import type { Review } from '#core/review'
import {
  INTERFERER_ROLE,
  type Plug,
  type RadioDoes,
  type ScpiInstrument,
  type StandSetting,
  WANTED_ROLE,
} from '#core/virtual'
import type { PracticeSession } from '~/practice/session'

/** What the instrument of the way that is plugged in shows just now. */
export type Screen =
  | { is: 'dark'; why: string }
  | { is: 'meter'; text: string }
  | {
      is: 'trace'
      levelsDbm: Float64Array
      fromHz: number
      toHz: number
      peaks: { hz: number; dbm: number }[]
    }
  | { is: 'sinad'; db: number; volts: number }

/** Twenty readings a second of what is a number, a sweep every quarter of a second. */
const NUMBER_MS = 50
const SWEEP_MS = 250
/** Channels of an evening, Hz. */
const SPACING_HZ = 12_500
const POINTS = 801
const PEAKS = 6
const SWEEP_BANDWIDTH_HZ = 100e3
/** The sweep of the screen ends here, Hz. */
const SWEEP_TO_HZ = 1e9
/** A line of a sweep is told by a number when it stands so far above the noise around it, dB. */
const ABOVE_DB = 6

/**
 * The bench of an evening as it is seen: what stands on the screen while the radio is keyed or a generator is
 * turned.
 */
export function usePracticeLive(
  session: PracticeSession,
  { review, setId, chainId }: { review: () => Review; setId: () => string; chainId: () => string },
) {
  const keyedSince = ref<number | null>(null)
  const screen = shallowRef<Screen>({ is: 'dark', why: 'Nothing comes in.' })
  const { knobs } = session
  const broken = ref<readonly string[]>([])
  const radioV = ref(0)

  const plugOf = (id: string): Plug | null => {
    const chain = review().chains.find(one => one.id === id)
    const instrument = review().instruments.find(one => one.id === chain?.instrumentId)
    return chain && instrument ? { chain, instrument } : null
  }
  const channel = computed(
    () => review().sets.find(({ id }) => id === setId())?.bands[0]?.channels[0] ?? null,
  )
  const carrierHz = computed(() => channel.value?.frequencyHz ?? 0)

  function setting(): StandSetting {
    const here = plugOf(chainId())
    const plugs: Record<string, Plug> = {}
    for (const { id } of review().chains) {
      const plug = plugOf(id)
      if (!plug) continue
      if (plug.instrument.kind === 'audio-meter') plugs.audio = plug
      if (plug.chain.joins) plugs[INTERFERER_ROLE] = plug
    }
    if (here) plugs[here.instrument.kind === 'signal-generator' ? WANTED_ROLE : 'instrument'] = here
    return { plugs, radio: radio() }
  }

  function radio(): RadioDoes {
    if (keyedSince.value === null)
      return { is: 'hears', channelHz: carrierHz.value, spacingHz: SPACING_HZ, squelchIsOpen: true }
    const claim = Object.values(review().sets.find(({ id }) => id === setId())?.bands[0]?.claims ?? {})[0]
    const claimedW = claim?.kind === 'watts' ? claim.powerW : 5
    return {
      is: 'keyed',
      keyed: { carrierHz: carrierHz.value, claimedW, forS: (Date.now() - keyedSince.value) / 1000 },
    }
  }

  const stand = computed(() => session.bench.stand(setId(), setting))
  const book = (kind: string) => phrasebooks.find(one => one.kind === kind)!

  function asked(instrument: ScpiInstrument, lines: readonly string[]): number[] {
    let answer: Uint8Array | null = null
    for (const line of lines) answer = instrument.receive(line) ?? answer
    const read = answer ? readAnswer(answer, 'numbers') : null
    return read?.is === 'numbers' ? read.values : []
  }

  function meterScreen(): Screen {
    const instrument = stand.value.instrument('instrument', 'power-meter')
    const [watts] = asked(instrument, ['UNIT:POWer W', 'READ?'])
    return watts === undefined ? DAMAGED : { is: 'meter', text: `${watts.toFixed(2)} W` }
  }

  function analyserScreen(): Screen {
    const instrument = stand.value.instrument('instrument', 'spectrum-analyser')
    const levels = asked(instrument, [
      `FREQuency:CENTer ${SWEEP_TO_HZ / 2}`,
      `FREQuency:SPAN ${SWEEP_TO_HZ}`,
      `BANDwidth ${SWEEP_BANDWIDTH_HZ}`,
      `SWEep:POINts ${POINTS}`,
      'TRACe:DATA? TRACE1',
    ])
    if (levels.length === 0) return DAMAGED
    const median = [...levels].sort((a, b) => a - b)[levels.length >> 1]!
    const peaks = Array.from({ length: PEAKS }, (_unused, i) => (i + 1) * carrierHz.value)
      .filter(hz => hz < SWEEP_TO_HZ)
      .map(hz => ({ hz, dbm: markerAt(instrument, hz) }))
      .filter(({ dbm }) => dbm > median + ABOVE_DB)
    return { is: 'trace', levelsDbm: Float64Array.from(levels), fromHz: 0, toHz: SWEEP_TO_HZ, peaks }
  }

  function markerAt(instrument: ScpiInstrument, hz: number): number {
    const lines = [
      `FREQuency:CENTer ${hz}`,
      'FREQuency:SPAN 100000',
      'CALCulate:MARKer:MAXimum',
      'CALCulate:MARKer:Y?',
    ]
    return asked(instrument, lines)[0] ?? -Infinity
  }

  function setGenerator(role: string, { hz, dbm, isOn }: { hz: number; dbm: number; isOn: boolean }): void {
    if (!setting().plugs[role]) return
    const generator = stand.value.instrument(role, 'signal-generator')
    const lines = [...book('signal-generator').begin, `FREQuency ${hz}`, `POWer ${dbm}`]
    for (const line of [...lines, `OUTPut ${isOn ? 'ON' : 'OFF'}`]) generator.receive(line)
  }

  function receivingScreen(): Screen {
    setGenerator(WANTED_ROLE, {
      ...{ hz: carrierHz.value + knobs.offsetHz, dbm: knobs.generatorDbm, isOn: knobs.generatorIsOn },
    })
    const { side, dbm, isOn } = knobs.second
    setGenerator(INTERFERER_ROLE, { hz: carrierHz.value + side * SPACING_HZ, dbm, isOn })
    const audio = stand.value.instrument('audio', 'audio-analyser')
    const [db = 0] = asked(audio, ['MEASure:SINad?'])
    const [volts = 0] = asked(audio, ['MEASure:VOLTage:AC?'])
    return { is: 'sinad', db, volts }
  }

  const DAMAGED: Screen = { is: 'dark', why: 'The screen stays dark: its input got more than it bears.' }

  let sweptAt = 0
  function look(): void {
    const kind = plugOf(chainId())?.instrument.kind
    radioV.value = session.bench.radio(setId()).supplyV
    if (kind === 'spectrum-analyser') {
      // A sweep takes its time; it runs with the radio unkeyed too.
      if (Date.now() - sweptAt < SWEEP_MS) return
      sweptAt = Date.now()
      screen.value = analyserScreen()
    } else if (kind === 'power-meter') screen.value = meterScreen()
    else if (kind === 'signal-generator') screen.value = receivingScreen()
    else screen.value = { is: 'dark', why: 'Plug the radio into something.' }
    broken.value = [...session.bench.damage()]
  }
  useIntervalFn(look, NUMBER_MS, { immediateCallback: true })

  function key(): void {
    keyedSince.value = keyedSince.value === null ? Date.now() : null
  }
  watch([() => chainId(), () => setId()], () => {
    keyedSince.value = null
    sweptAt = 0
  })

  return { screen, keyedSince, key, broken, radioV, carrierHz }
}
