import { newAudioMeter, newChain, newPocketGenerator, newPowerMeter, newSpectrumAnalyser } from '#core/chain'
import type { InstrumentLine, Phrasebook, SpokenKind } from '#core/link'
import { type Plug, virtualBench, virtualLine } from '#core/virtual'
import type { InstrumentLink } from './links'
import { serialLine } from './serialLine'
import { serverLine } from './serverLink'

/** A radio keyed with 5 W into whatever is being taught, so that there is something to answer. */
const TAUGHT_ON = { carrierHz: 146.52e6, claimedW: 5, forS: 0 } as const
/** Into an analyser it goes through this, dB: it is to answer, not to burn. */
const PAD_DB = 40

const INSTRUMENTS: Partial<Record<SpokenKind, () => Plug['instrument']>> = {
  'power-meter': () => newPowerMeter('taught'),
  'spectrum-analyser': () => ({ ...newSpectrumAnalyser('taught'), damageDbm: PAD_DB }),
  'signal-generator': () => newPocketGenerator('taught'),
  'audio-analyser': () => newAudioMeter('taught'),
}

/** A line to the instrument that is being taught. */
export function teachLine(link: InstrumentLink, book: Phrasebook, seed: number): InstrumentLine {
  switch (link.via) {
    case 'server':
      return serverLine(link.serverId, book.lineEnd)
    case 'serial':
      return serialLine(link, { baudRate: link.baudRate, lineEnd: book.lineEnd })
    case 'virtual':
      return simulated(book.kind, seed)
  }
}

function simulated(kind: SpokenKind, seed: number): InstrumentLine {
  const make = INSTRUMENTS[kind]
  const plugs: Record<string, Plug> = make
    ? { instrument: { chain: newChain('taught', 'Taught', 'taught'), instrument: make() } }
    : {}
  const radio = { is: 'keyed', keyed: TAUGHT_ON } as const
  return virtualLine(
    virtualBench(seed)
      .stand('taught', () => ({ plugs, radio }))
      .instrument('instrument', kind),
  )
}
