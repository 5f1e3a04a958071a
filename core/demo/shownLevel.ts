import { MINUS } from '../quantity'
import type { SeenLevel } from '../review'

/** A level as a generator shows it. */
export function generatorSeen(levelDbm: number, frequencyHz: number): SeenLevel {
  return {
    as: 'level',
    value: levelDbm,
    unit: 'dBm',
    levelDbm,
    resolutionDb: 0.1,
    isUpperBound: false,
    frequencyHz,
    traceFloorDbm: null,
    doubt: null,
    repeatsDbm: [],
  }
}

/** A figure in decibels as a display shows it: one decimal, the true minus sign. */
export function decibelText(value: number): string {
  return value.toFixed(1).replace('-', MINUS)
}
