import { microvolts } from '#core/hearing'
import {
  type FigureRead,
  type LevelRead,
  type LevelUnit,
  parseFigure,
  parseLevel,
  parseMatch,
  type ParseRefusal,
  printDbm,
  printDbmAsWatts,
  printFigure,
  printSignificant,
} from '#core/quantity'
import type { SeenFigure, SeenLevel } from '#core/review'
import { type AppliedField, parseGuardedLevel, seenLevel, seenTyped, type Slot } from '#core/step'

/** What was typed in a slot: as seen, and how it is understood. */
export type ParsedSlot = { ok: true; read: SeenLevel | SeenFigure; preview: string } | ParseRefusal

/** Reads what is typed in a slot: a level at an instrument, or a figure in its unit. */
export function parseSlot(slot: Slot, text: string, bareUnit: LevelUnit): ParsedSlot {
  switch (slot.field.as) {
    case 'level': {
      const { guard } = slot.field
      const read = guard ? parseGuardedLevel(text, guard) : parseLevel(text, { bareUnit })
      if (!read.ok) return read
      return {
        ok: true,
        read: seenLevel(read, { frequencyHz: slot.frequencyHz }),
        preview: guard ? generatorPreview(read) : levelPreview(read),
      }
    }
    case 'figure': {
      const { unit } = slot.field
      const read = unit === 'VSWR' ? parseMatch(text) : parseFigure(text, slot.field)
      if (!read.ok) return read
      return { ok: true, read: seenTyped(read, unit), preview: figurePreview(read, slot.field) }
    }
    case 'mark':
      return { ok: false, message: 'This is ticked, not typed.', offers: [] }
    case 'derived':
      return { ok: false, message: 'This is worked out, not typed.', offers: [] }
  }
}

/** What a generator is set to while a slot is read. */
export function parseApplied(field: AppliedField, text: string): ParsedApplied {
  const read = parseGuardedLevel(text, field.guard)
  if (!read.ok) return read
  return {
    ok: true,
    read: seenLevel(read, { frequencyHz: field.frequencyHz }),
    preview: generatorPreview(read),
  }
}

/** What a generator was set to: as seen, and how it is understood. */
export type ParsedApplied = { ok: true; read: SeenLevel; preview: string } | ParseRefusal

/** A level into 50 Ω, and both voltages it is spoken of as. */
function generatorPreview({ levelDbm }: LevelRead): string {
  const { pdUv, emfUv } = microvolts(levelDbm)
  return `${printDbm(levelDbm, 1)} = ${printSignificant(pdUv, 3)} µV pd, ${printSignificant(emfUv, 3)} µV emf`
}

function levelPreview(read: LevelRead): string {
  return `${boundWords(read)}${printDbm(read.levelDbm, 2)} = ${printDbmAsWatts(read.levelDbm)}`
}

function boundWords({ isUpperBound, repeatsDbm }: LevelRead): string {
  if (isUpperBound) return 'at most '
  return repeatsDbm.length > 0 ? `mean of ${repeatsDbm.length}: ` : ''
}

function figurePreview(
  { value, isUpperBound }: FigureRead,
  { unit }: Slot['field'] & { as: 'figure' },
): string {
  return `${isUpperBound ? 'at most ' : ''}${printFigure(value, unit)}`
}
