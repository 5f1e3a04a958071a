import { decibels } from './spectrum'

/**
 * A picture of level over time and frequency: `columns` moments, each `rows` levels from the lowest frequency
 * up, dB of full scale.
 */
export interface TimeFrequencyPicture {
  columns: number
  rows: number
  levelsDb: Float32Array
}

/**
 * Gathers frames into a picture of a fixed size, the highest power of each cell kept so that nothing short is
 * lost.
 */
export class TimeFrequency {
  private readonly cells: Float32Array
  private seen = 0

  constructor(
    private readonly columns: number,
    private readonly rows: number,
    private readonly frames: number,
  ) {
    this.cells = new Float32Array(columns * rows)
  }

  /** Takes a frame in the transform’s own order. */
  add(power: Float32Array): void {
    const column = Math.min(this.columns - 1, Math.floor((this.seen * this.columns) / this.frames))
    this.seen += 1
    const size = power.length
    const base = column * this.rows
    for (let k = 0; k < size; k++) {
      const cell = base + Math.floor((((k + (size >> 1)) & (size - 1)) * this.rows) / size)
      if (power[k]! > this.cells[cell]!) this.cells[cell] = power[k]!
    }
  }

  picture(): TimeFrequencyPicture {
    const filled = Math.max(1, Math.min(this.columns, Math.ceil((this.seen * this.columns) / this.frames)))
    return {
      columns: filled,
      rows: this.rows,
      levelsDb: this.cells.subarray(0, filled * this.rows).map(decibels),
    }
  }
}

/** Sets pictures of stretches of one recording side by side. */
export function joinPictures(pictures: readonly TimeFrequencyPicture[]): TimeFrequencyPicture {
  const rows = pictures[0]?.rows ?? 0
  const columns = pictures.reduce((sum, one) => sum + one.columns, 0)
  const levelsDb = new Float32Array(columns * rows)
  let at = 0
  for (const one of pictures) {
    levelsDb.set(one.levelsDb, at)
    at += one.levelsDb.length
  }
  return { columns, rows, levelsDb }
}
