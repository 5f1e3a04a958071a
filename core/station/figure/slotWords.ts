import {
  printHz,
  printNumber,
  printRange,
  printSigned,
  printWatts,
  UNIT_SPACE,
  wattsFromDbm,
} from '../../quantity'
import type { FigureResult, SlotResult } from '../contract'

/** What a slot comes to: power at the socket, or the figure itself. */
export function valueWords({ corrected, figure }: Pick<SlotResult, 'corrected' | 'figure'>): string {
  if (corrected) return `${corrected.isUpperBound ? '< ' : ''}${printWatts(wattsFromDbm(corrected.levelDbm))}`
  return figure ? `${figure.isUpperBound ? 'at most ' : ''}${figureWords(figure)}` : '–'
}

function figureWords({ value, unit }: Pick<FigureResult, 'value' | 'unit'>): string {
  switch (unit) {
    case 'mark':
      return value ? 'done' : 'not done'
    case 'Hz':
      return printHz(value, 4)
    case 'dB':
      return `${printNumber(value, 1)}${UNIT_SPACE}dB`
    case 'dBm':
      return `${printSigned(value, 1)}${UNIT_SPACE}dBm`
    default:
      return `${printNumber(value, unit === '°C' ? 0 : 2)}${UNIT_SPACE}${unit}`
  }
}

/**
 * The 95 % range of a slot in its own unit; a dash where nothing is left open, or nothing but the last digit
 * of what is only noted down.
 */
export function rangeWords({
  corrected,
  figure,
  verdict,
}: Pick<SlotResult, 'corrected' | 'figure' | 'verdict'>): string {
  if (corrected) return printRange(corrected.budget)
  const leavesOpen = figure?.budget.contributions.some(
    ({ group }) => verdict.state !== 'observation' || group !== 'resolution',
  )
  if (!figure || !leavesOpen) return '–'
  return halfWidthWords(figure.budget.rangeDb, figure)
}

/** A half-width of a figure’s budget in the figure’s own unit. */
export function halfWidthWords(halfWidthDb: number, figure: Pick<FigureResult, 'unit' | 'scale'>): string {
  const half = halfWidthDb * (figure.scale?.perDb ?? 1)
  return figure.unit === 'Hz'
    ? `±${printHz(half, 2)}`
    : `±${half.toPrecision(2)}${UNIT_SPACE}${figure.unit === 'dBm' ? 'dB' : figure.unit}`
}
