import type { DischargeLog } from '../../../format'
import { printNumber, UNIT_SPACE } from '../../../quantity'
import type { CurvePoints, ReadingSource } from '../../../review'
import { type KeptFigure, seenFigure } from '../../../step'

/** The capacity a log adds up to, for the slot that holds it. */
export function capacityFromLog(log: DischargeLog, source: ReadingSource): KeptFigure {
  const { capacityAh, betweenLinesAh, energyWh, hours, lastV } = log
  const energy = energyWh === null ? '' : `, ${printNumber(energyWh, 2)}${UNIT_SPACE}Wh`
  const end = lastV === null ? '' : `, down to ${printNumber(lastV, 2)}${UNIT_SPACE}V`
  return {
    slotId: 'logged',
    text: printNumber(capacityAh, 3),
    seen: seenFigure({
      value: capacityAh,
      unit: 'Ah',
      // What lies between two lines may be anything between them.
      standardUncertainty: betweenLinesAh / Math.sqrt(3),
      method: `Trapezoids over ${printNumber(hours, 2)}${UNIT_SPACE}h${energy}${end}. ${log.understood.join(' ')}`,
    }),
    source,
  }
}

/** The log as a curve: seconds, volts, amperes as far as they were logged. */
export function dischargeCurve({ rows }: DischargeLog): CurvePoints {
  const every = Math.max(1, Math.ceil(rows.length / MOST_POINTS))
  const kept = rows.filter((_row, i) => i % every === 0 || i === rows.length - 1)
  return {
    x: Float64Array.from(kept, ({ atS }) => atS),
    y: Float64Array.from(kept, ({ voltageV }) => voltageV ?? Number.NaN),
    y2: Float64Array.from(kept, ({ currentA }) => currentA ?? Number.NaN),
  }
}

const MOST_POINTS = 1000
