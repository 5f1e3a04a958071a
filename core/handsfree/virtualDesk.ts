import { spacingOf } from '../band'
import type { Context } from '../context'
import { begun, kindWords, type Phrasebook, plainBook, type SpokenKind, spokenKindOf } from '../link'
import { handsFor, type RadioAs } from '../station'
import type { Step } from '../step'
import { type Plug, type RadioDoes, type StandSetting, virtualLine, type VirtualStand } from '../virtual'
import type { AnsweringInstrument, Desk } from './desk'

/** Power of a simulated radio where its maker says nothing, W. */
const UNCLAIMED_W = 5

/** What is plugged in at a step as the review has it, and what the radio is to do. */
export function standSetting(
  step: Step,
  context: Context,
  { does, keyedForS }: { does: RadioAs; keyedForS: number },
): StandSetting {
  const plugs: Record<string, Plug> = {}
  for (const [role, id] of Object.entries(step.chains)) {
    const chain = context.chain(id)
    const instrument = chain && context.instrument(chain.instrumentId)
    if (chain && instrument) plugs[role] = { chain, instrument }
  }
  return { plugs, radio: radioDoes(step, does, keyedForS) }
}

function radioDoes(step: Step, does: RadioAs, forS: number): RadioDoes {
  const { frequencyHz } = step.channel
  const claimedW = step.claim.kind === 'watts' ? step.claim.powerW : UNCLAIMED_W
  const spacingHz = spacingOf(step.band)
  const { isKeyed, speaks } = handsFor(does)
  if (isKeyed) {
    const levelId = step.setting.level.id
    return { is: 'keyed', keyed: { carrierHz: frequencyHz, claimedW, levelId, forS, spacingHz, speaks } }
  }
  return {
    ...{ is: 'hears', channelHz: frequencyHz, spacingHz },
    squelchIsOpen: does !== 'squelched',
    volume: does === 'rated-volume' ? 'rated' : 'usual',
  }
}

/** What reading from a virtual bench hangs on. */
export interface VirtualDeskInput {
  /** A stand whose setting is asked for whenever it is spoken to. */
  stand: (setting: () => StandSetting) => VirtualStand
  step: () => Step
  context: () => Context
  /** Phrasebooks, by kind; the plain ones by default. */
  bookFor?: (kind: SpokenKind, instrumentId: string | null) => Phrasebook
  goesOn?: Desk['goesOn']
  /** Waits so many seconds of the bench’s own clock. */
  wait?: (seconds: number) => Promise<void>
  /** What readings say they came from, behind the name. */
  named?: string
}

/** A desk of simulated instruments: the radio does at once what it is told, and its clock can be turned. */
export function virtualDesk(input: VirtualDeskInput): Desk {
  const { goesOn = async () => true, wait = async () => undefined, named = 'virtual bench' } = input
  const bookFor = input.bookFor ?? plainBook
  let does: RadioAs = 'squelched'
  let keyedForS = 0
  const stand = input.stand(() => standSetting(input.step(), input.context(), { does, keyedForS }))
  const known = new Map<string, AnsweringInstrument>()
  const answering = (role: string, kind: SpokenKind, plug: Plug | null): AnsweringInstrument => {
    const key = `${role}:${plug?.instrument.id}`
    const book = bookFor(kind, plug?.instrument.id ?? null)
    const one = known.get(key) ?? {
      line: begun(virtualLine(stand.instrument(role, kind)), book),
      book,
      instrument: plug?.instrument ?? null,
      name: `${plug?.instrument.name ?? kindWords(kind)}, ${named}`,
    }
    known.set(key, one)
    return one
  }
  return {
    at: role => {
      const plug = standSetting(input.step(), input.context(), { does, keyedForS }).plugs[role]
      const kind = plug && spokenKindOf(plug.instrument)
      return plug && kind ? answering(role, kind, plug) : null
    },
    ofKind: kind => answering(kind, kind, null),
    radio: async next => {
      if (next !== does) keyedForS = 0
      does = next
      return null
    },
    untilKeyedFor: async seconds => {
      if (seconds > keyedForS) await wait(seconds - keyedForS)
      keyedForS = Math.max(seconds, keyedForS)
    },
    goesOn,
  }
}
