import { kindWords, readLevel, type Heard } from '../link'
import { parseFigure, printNumber } from '../quantity'
import type { ReadAction } from '../station'
import { type Kept, seenFigure, seenTyped, type Step } from '../step'
import { ask, levelSet, levelText, ReadingFailedError, seenOf, setGenerator, tell, whyNot } from './ask'
import { type AnsweringInstrument, type Desk, StoppedError } from './desk'
import { lastAbove, turnUntil } from './search'

/** Two readings in a row this close have settled, dB; so many are taken at most. */
const SETTLED_DB = 0.3
const MOST_READINGS = 6
/** After a generator is set a receiver and its meter come to rest, ms. */
const SETTLE_MS = 300
/** A squelch is given so long at each level, ms (receivers.md, section 4). */
const SQUELCH_MS = 2000
/** SINAD is the mean of so many. */
const SINADS = 4
/** Volts at the speaker above which something is heard. */
const HEARD_V = 0.02

/**
 * Does what an action asks for and reads its figure.
 * @throws ReadingFailedError, StoppedError, or whatever the line to an instrument does
 */
export async function perform(action: ReadAction, step: Step, desk: Desk): Promise<Kept> {
  const refused = await desk.radio(action.radio)
  if (refused !== null) throw new ReadingFailedError(refused)
  switch (action.is) {
    case 'level':
      return performLevel(action, desk)
    case 'sinad':
      return performSinad(action, desk)
    case 'volts':
      return performVolts(action, step, desk)
    case 'fall':
      return performFall(action, desk)
    case 'edge':
      return performEdge(action, desk)
    case 'figure':
      return performFigure(action, step, desk)
  }
}

type Of<K extends ReadAction['is']> = Extract<ReadAction, { is: K }>

async function performLevel({ slotId, role, frequencyHz, atS }: Of<'level'>, desk: Desk): Promise<Kept> {
  const reader = present(desk.at(role), 'Nothing that answers stands at the end of this chain.')
  const { line, book, instrument, name } = reader
  if (!instrument) throw new ReadingFailedError('Nothing is known of the instrument.')
  if (atS !== null) await desk.untilKeyedFor(atS)
  const once = async (): Promise<Heard> => {
    const result = await readLevel(line, { book, instrument, frequencyHz })
    if (result.is === 'heard') return result.heard
    throw new ReadingFailedError(`${name}: ${whyNot(result)}`)
  }
  let heard = await once()
  // What is due at a moment is read once; anything else until it stands.
  for (let i = 1; atS === null && i < MOST_READINGS; i++) {
    await whileGoing(desk)
    const again = await once()
    const isSettled = apartDb(heard, again) <= SETTLED_DB
    heard = again
    if (isSettled) break
  }
  const text = heardLevelText(heard)
  return { slotId, text, seen: seenOf(text, frequencyHz), source: sourceOf(reader, heard.raw) }
}

/** A level as it was heard, in the unit its phrasebook says. */
function heardLevelText({ values, unit }: Heard): string {
  const [value = Number.NaN] = values
  return unit === 'dBm' ? `${value.toFixed(2)} dBm` : `${Number(value.toPrecision(5))} ${unit}`
}

function apartDb(one: Heard, other: Heard): number {
  const [a = Number.NaN, b = Number.NaN] = [one.values[0], other.values[0]]
  return one.unit === 'W' ? Math.abs(10 * Math.log10(a / b)) : Math.abs(a - b)
}

async function performSinad({ slotId, role, set }: Of<'sinad'>, desk: Desk): Promise<Kept> {
  const audio = present(desk.at(role), 'Nothing that answers stands at the speaker.')
  for (const one of set) await setGenerator(generatorOf(desk, one.role), one)
  const { meanDb, scatterDb, raw } = await sinadNow(audio, desk)
  const value = Number(meanDb.toFixed(2))
  const seen = seenFigure({
    ...{ value, unit: 'dB', resolution: 0.1, standardUncertainty: scatterDb },
    method: `Mean of ${SINADS} readings of ${audio.name}.`,
  })
  return {
    ...{ slotId, text: printNumber(value, 1), seen, source: sourceOf(audio, raw) },
    applied: Object.fromEntries(set.map(one => [one.role, levelSet(one)])),
  }
}

/** SINAD as it stands: the mean of a few, and what that mean scatters. */
async function sinadNow(audio: AnsweringInstrument, desk: Desk) {
  await audio.line.wait(SETTLE_MS)
  const values: number[] = []
  const raw: string[] = []
  for (let i = 0; i < SINADS; i++) {
    await whileGoing(desk)
    const heard = await ask(audio, 'read-sinad')
    values.push(heard.values[0]!)
    raw.push(heard.raw)
  }
  const meanDb = values.reduce((sum, value) => sum + value, 0) / values.length
  const squares = values.reduce((sum, value) => sum + (value - meanDb) ** 2, 0)
  return { meanDb, scatterDb: Math.sqrt(squares / (values.length - 1) / values.length), raw: raw.join(' ') }
}

async function performFall(
  { slotId, role, set, raise, from, untilDb }: Of<'fall'>,
  desk: Desk,
): Promise<Kept> {
  const audio = present(desk.at(role), 'Nothing that answers stands at the speaker.')
  const interferer = generatorOf(desk, raise.role)
  for (const one of set) await setGenerator(generatorOf(desk, one.role), one)
  await setGenerator(interferer, raise)
  let raw = ''
  const found = await lastAbove(from, async levelDbm => {
    await tell(interferer, 'set-level', { levelDbm })
    const now = await sinadNow(audio, desk)
    raw = now.raw
    return now.meanDb > untilDb
  })
  if (found === null)
    throw new ReadingFailedError(`SINAD is not above ${untilDb} dB even without the interferer.`)
  if (found >= from.highestDbm)
    throw new ReadingFailedError(`SINAD stays above ${untilDb} dB up to ${levelText(from.highestDbm)}.`)
  return {
    ...{ slotId, text: levelText(found), seen: levelSet({ ...raise, levelDbm: found }) },
    source: sourceOf(interferer, `SINAD there ${raw}`),
    applied: Object.fromEntries(set.map(one => [one.role, levelSet(one)])),
  }
}

async function performEdge({ slotId, role, edge, turn, from }: Of<'edge'>, desk: Desk): Promise<Kept> {
  const audio = present(desk.at(role), 'Nothing that answers stands at the speaker.')
  const generator = generatorOf(desk, turn.role)
  await setGenerator(generator, turn)
  let raw = ''
  const isHeardAt = async (levelDbm: number): Promise<boolean> => {
    await whileGoing(desk)
    await tell(generator, 'set-level', { levelDbm })
    await audio.line.wait(SQUELCH_MS)
    const heard = await ask(audio, 'read-volts')
    raw = heard.raw
    return heard.values[0]! > HEARD_V
  }
  const found = await turnUntil(from, edge, isHeardAt)
  if (found === null)
    throw new ReadingFailedError(
      `The squelch does not ${edge === 'open' ? 'open' : 'close'} within the generator’s range.`,
    )
  return {
    ...{ slotId, text: levelText(found), seen: levelSet({ ...turn, levelDbm: found }) },
    source: sourceOf(generator, `volts there ${raw}`),
  }
}

async function performFigure(action: Of<'figure'>, step: Step, desk: Desk): Promise<Kept> {
  const { slotId, kind, phrase, frequencyHz } = action
  const reader = present(desk.ofKind(kind), `No ${kindWords(kind)} that answers is on the bench.`)
  return figureHeard(await ask(reader, phrase, { frequencyHz }), { slotId, step, reader })
}

/** A figure as it was heard, read as if it were typed into its field. */
function figureHeard(
  heard: Heard,
  { slotId, step, reader }: { slotId: string; step: Step; reader: AnsweringInstrument },
): Kept {
  const field = step.slots.find(({ id }) => id === slotId)?.field
  if (field?.as !== 'figure') throw new ReadingFailedError('The step wants no figure there.')
  const text = figureText(heard)
  const read = parseFigure(text, field)
  if (!read.ok) throw new ReadingFailedError(`${reader.name}: ${read.message}`)
  return { slotId, text, seen: seenTyped(read, field.unit), source: sourceOf(reader, heard.raw) }
}

/** Volts at the speaker once the generators stand. */
async function performVolts({ slotId, role, set }: Of<'volts'>, step: Step, desk: Desk): Promise<Kept> {
  const reader = present(desk.at(role), 'Nothing that answers stands at the speaker.')
  for (const one of set) await setGenerator(generatorOf(desk, one.role), one)
  await reader.line.wait(SETTLE_MS)
  await whileGoing(desk)
  return figureHeard(await ask(reader, 'read-volts'), { slotId, step, reader })
}

function figureText({ values, unit }: Heard): string {
  const [value = Number.NaN] = values
  if (unit === 'VSWR') return value.toFixed(2)
  return unit === 'Hz' ? `${value.toFixed(0)} Hz` : `${Number(value.toPrecision(4))} ${unit}`
}

function generatorOf(desk: Desk, role: string): AnsweringInstrument {
  return present(
    desk.at(role),
    'The generator of this step does not answer the application: it is set by hand.',
  )
}

function present<T>(one: T | null, why: string): T {
  if (one === null) throw new ReadingFailedError(why)
  return one
}

/** @throws StoppedError */
async function whileGoing(desk: Desk): Promise<void> {
  if (!(await desk.goesOn())) throw new StoppedError()
}

/** So much of what an instrument answered is kept. */
const MOST_RAW = 120

function sourceOf({ name }: AnsweringInstrument, raw: string): Kept['source'] {
  return { kind: 'link', instrument: name, answer: raw.slice(0, MOST_RAW) }
}
