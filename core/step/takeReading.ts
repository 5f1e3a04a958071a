import type { Context } from '../context'
import type { FigureRead, FigureUnit, LevelRead } from '../quantity'
import type { Reading, ReadingSource, RoleId, SeenFigure, SeenLevel } from '../review'
import { readThrough, readWith } from './readWith'
import type { Slot } from './slot'
import { INSTRUMENT_ROLE, type Step } from './step'

/** Something seen and about to be kept in a slot. */
export interface Kept {
  slotId: string
  text: string
  seen: SeenLevel | SeenFigure
  /** What generators were set to, by role; none by default. */
  applied?: Readonly<Record<RoleId, SeenLevel>>
  /** Typed by default. */
  source?: ReadingSource
}

/** A level about to be kept in a slot. */
export type KeptLevel = Kept & { seen: SeenLevel }

/** A figure about to be kept in a slot. */
export type KeptFigure = Kept & { seen: SeenFigure }

/** A level as typed or read off a file, as seen. */
export function seenLevel(
  { ok: _ok, ...read }: LevelRead,
  facts: Pick<SeenLevel, 'frequencyHz'> & Partial<SeenLevel>,
): SeenLevel {
  return { as: 'level', ...read, traceFloorDbm: null, doubt: null, ...facts }
}

/** A figure as seen, where most of it is as usual. */
export function seenFigure(seen: Pick<SeenFigure, 'value' | 'unit'> & Partial<SeenFigure>): SeenFigure {
  return {
    as: 'figure',
    resolution: 0,
    isUpperBound: false,
    standardUncertainty: 0,
    noiseAdds: 0,
    method: '',
    ...seen,
  }
}

/** A figure as typed, as seen. */
export function seenTyped({ ok: _ok, ...read }: FigureRead, unit: FigureUnit): SeenFigure {
  return seenFigure({ ...read, unit })
}

/** Something done, or not. */
export function seenMark(done: boolean): SeenFigure {
  return seenFigure({ value: done ? 1 : 0, unit: 'mark' })
}

/**
 * A reading from what was seen: with what it was read with and through, and under what it was taken, as
 * everything stands now. null where a level has no chain to come through.
 */
export function takeReading(
  step: Step,
  kept: Kept,
  stamp: { id: string; at: string },
  context: Context,
): Reading | null {
  const { slotId, text, seen, applied = {}, source } = kept
  const role = slotAlike(step, slotId)?.role ?? null
  const way =
    seen.as === 'level'
      ? readThrough(step, role ?? INSTRUMENT_ROLE, context)
      : readWith(step, seen.unit, context, role)
  const set = Object.keys(applied).map(played => readThrough(step, played, context))
  if (!way || set.includes(null)) return null
  const { settings, reviewer } = context.review
  return {
    id: stamp.id,
    setId: step.set.id,
    stationId: step.stationId,
    stepId: step.id,
    slot: slotId,
    text,
    seen,
    instrumentId: way.instrumentId,
    through: Object.assign({}, way.through, ...set.map(one => one!.through)) as Reading['through'],
    applied: { ...applied },
    supply: step.set.supplyNow,
    ambientC: settings.ambientC,
    who: reviewer,
    at: stamp.at,
    source: source ?? { kind: 'typed' },
    supersedes: context.readingsOf(step).get(slotId)?.id ?? null,
  }
}

/** The slot, or one of its row: a step asks for one more point at a time, and several may be kept at once. */
function slotAlike({ slots }: Step, slotId: string): Slot | undefined {
  const row = slotId.replace(/\d+$/, '')
  return slots.find(({ id }) => id === slotId) ?? slots.findLast(({ id }) => id.replace(/\d+$/, '') === row)
}

/** What a bare number means at an instrument: watts on a power meter, dBm elsewhere. */
export function bareUnitOf(step: Step, context: Context): 'W' | 'dBm' {
  for (const id of Object.values(step.chains)) {
    const chain = context.chain(id)
    const instrument = chain && context.instrument(chain.instrumentId)
    if (instrument) return instrument.kind === 'power-meter' ? 'W' : 'dBm'
  }
  return Object.keys(step.chains).length === 0 ? 'dBm' : 'W'
}
