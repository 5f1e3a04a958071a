import type { Context } from '#core/context'
import { type AnsweringInstrument, type Desk, standSetting, virtualDesk } from '#core/handsfree'
import {
  begun,
  kindWords,
  type InstrumentLine,
  plainBook,
  type Phrasebook,
  type SpokenKind,
  spokenKindOf,
} from '#core/link'
import { handsFor, type RadioAs } from '#core/station'
import type { Step } from '#core/step'
import { virtualBench, type VirtualStand, type StandSetting } from '#core/virtual'
import { type InstrumentLink, kindLinkId, KINDS_BY_THEMSELVES } from './links'
import { lookForServer, releaseInstrument, serverLine, serverState, setVirtualBench } from './serverLink'
import { serialLine } from './serialLine'

/** A bench of an evening of practice, where the review is one. */
export interface PracticeStand {
  stand: (radioId: string, setting: () => StandSetting) => VirtualStand
  /** What broke or burnt on it, in words. */
  damage: () => readonly string[]
}

/** What reading at the bench hangs on. */
export interface BenchDeskInput {
  step: () => Step
  context: () => Context
  links: Readonly<Record<string, InstrumentLink>>
  books: readonly Phrasebook[]
  seed: number
  /** When the radio in hand was keyed by its clock, ms; null while it is not. */
  keyedSince: () => number | null
  goesOn: Desk['goesOn']
  /** The evening this review is practice of; then everything on it answers. */
  practice: PracticeStand | null
}

/** A desk whose instruments are given back when nobody reads any more. */
export interface BenchDesk extends Desk {
  leave: () => Promise<void>
  /** What broke or burnt on the simulated bench, in words. */
  damage: () => readonly string[]
}

/** A minute of the simulated bench takes two seconds: nobody learns from waiting for one that is not there. */
const BENCH_SPEED = 30
const TICK_MS = 100
const waitMs = (ms: number) => new Promise<void>(resolve => setTimeout(resolve, ms))

/** The instruments of a step as they answer: simulated, by the server, on a lead, or those of an evening. */
export function benchDesk(input: BenchDeskInput): BenchDesk {
  const { links, books, seed, step, context, goesOn, practice } = input
  const bookFor = (kind: SpokenKind, linkId: string | null): Phrasebook => {
    const chosen = books.find(({ id }) => linkId !== null && id === links[linkId]?.phrasebookId)
    return chosen ?? plainBook(kind)
  }
  const bench: PracticeStand = practice ?? virtualBench(seed)
  const simulated = virtualDesk({
    stand: setting => bench.stand(step().set.id, setting),
    ...{ step, context, bookFor, goesOn },
    wait: seconds => simulatedWait(seconds, goesOn),
    named: practice ? 'practice bench' : 'virtual bench',
  })
  const known = new Map<string, AnsweringInstrument>()
  const reached = new Set<string>()
  let does: RadioAs = 'squelched'
  let keyedForS = 0
  /** What hands were asked for since L was pressed; null: nothing yet. */
  let asked: RadioAs | null = null

  function answering(linkId: string, kind: SpokenKind, instrument: AnsweringInstrument['instrument']) {
    const link = links[linkId]
    if (!link || link.via === 'virtual') return null
    const book = bookFor(kind, linkId)
    const one = known.get(linkId) ?? {
      line: begun(lineOf(link, book, reached), book),
      ...{ book, instrument, name: nameOf(link, instrument?.name ?? kindWords(kind)) },
    }
    known.set(linkId, one)
    return one
  }

  /** Links that are of use at the step: of its chains, else of what stands in none. */
  function used(): InstrumentLink[] {
    const { plugs } = standSetting(step(), context(), { does, keyedForS })
    const ofChains = Object.values(plugs).flatMap(({ instrument }) => links[instrument.id] ?? [])
    if (ofChains.length > 0) return ofChains
    return KINDS_BY_THEMSELVES.flatMap(kind => links[kindLinkId(kind)] ?? [])
  }

  /** Anything that is really there: then a person keys the radio, and says so by the key-down clock. */
  function isReal(): boolean {
    if (practice) return false
    return used().some(link => {
      if (link.via === 'server') return !isVirtualOnServer(link.serverId)
      return link.via === 'serial'
    })
  }

  async function telledServer(): Promise<void> {
    if (practice || !used().some(link => link.via === 'server' && isVirtualOnServer(link.serverId))) return
    const setting = standSetting(step(), context(), { does, keyedForS })
    await setVirtualBench({ seed, radioId: step().set.id, setting })
  }

  return {
    goesOn,
    damage: bench.damage,
    at: role => {
      const plug = standSetting(step(), context(), { does, keyedForS }).plugs[role]
      const kind = plug && spokenKindOf(plug.instrument)
      if (!plug || !kind) return null
      if (practice || links[plug.instrument.id]?.via === 'virtual') return simulated.at(role)
      return answering(plug.instrument.id, kind, plug.instrument)
    },
    ofKind: kind => {
      if (practice || links[kindLinkId(kind)]?.via === 'virtual') return simulated.ofKind(kind)
      return answering(kindLinkId(kind), kind, null)
    },
    radio: async next => {
      if (next !== does) keyedForS = 0
      does = next
      await simulated.radio(next)
      // Whether an instrument of the server is a real one, only the server says.
      if (used().some(({ via }) => via === 'server')) await lookForServer()
      if (isReal()) {
        const refused = handsRefuse(next, { asked, isKeyed: input.keyedSince() !== null })
        if (refused !== null) return refused
        asked = next
      }
      await telledServer()
      return null
    },
    untilKeyedFor: async seconds => {
      if (isReal()) return reallyKeyedFor(seconds, input)
      await simulated.untilKeyedFor(seconds)
      keyedForS = seconds
      await telledServer()
    },
    leave: async () => {
      for (const id of reached) await releaseInstrument(id)
    },
  }
}

/** Why a real radio is not read as it stands: what its hands are to do first. */
function handsRefuse(
  next: RadioAs,
  { asked, isKeyed }: { asked: RadioAs | null; isKeyed: boolean },
): string | null {
  const { isKeyed: wantsKeyed, words } = handsFor(next)
  if (!wantsKeyed && isKeyed) return 'Release the radio first.'
  if (wantsKeyed && !isKeyed) return `Key the radio first (Space): ${words}; then L.`
  // Nobody can see whether hands have followed: whoever presses L again says so.
  return asked !== null && asked !== next ? `Now ${words}; then L.` : null
}

function lineOf(link: InstrumentLink, book: Phrasebook, reached: Set<string>): InstrumentLine {
  if (link.via === 'serial') return serialLine(link, { baudRate: link.baudRate, lineEnd: book.lineEnd })
  const id = link.via === 'server' ? link.serverId : ''
  reached.add(id)
  return serverLine(id, book.lineEnd)
}

function isVirtualOnServer(serverId: string): boolean {
  const state = serverState.value
  return state.is === 'there' && state.instruments.some(({ id, isVirtual }) => id === serverId && isVirtual)
}

/** What a reading says it came from. */
function nameOf(link: InstrumentLink, name: string): string {
  if (link.via === 'serial') return `${name}, serial lead`
  if (link.via === 'server' && isVirtualOnServer(link.serverId)) return `${name}, virtual bench`
  return `${name}, by the link`
}

async function simulatedWait(seconds: number, goesOn: Desk['goesOn']): Promise<void> {
  const until = Date.now() + (1000 * seconds) / BENCH_SPEED
  while (Date.now() < until && (await goesOn())) await waitMs(Math.min(TICK_MS, until - Date.now()))
}

async function reallyKeyedFor(seconds: number, { keyedSince, goesOn }: BenchDeskInput): Promise<void> {
  for (;;) {
    const since = keyedSince()
    if (since === null) throw new Error('The radio was released before the last moment of the log.')
    const leftMs = since + 1000 * seconds - Date.now()
    if (leftMs <= 0 || !(await goesOn())) return
    await waitMs(Math.min(TICK_MS, leftMs))
  }
}
