import { scaleLinear, scaleLog } from 'd3-scale'
import type { PlotAxis } from './model'

/** A scale that was laid out: where a value stands, and which values are written beside it. */
export interface LaidOut {
  place: (value: number) => number
  ticks: readonly { value: number; words: string }[]
  /** Room of one name; 0 on an axis of numbers. */
  step: number
}

/** Lays an axis out over some room. @param values - what is drawn along it. */
export function laidOut(
  axis: PlotAxis,
  { values, room, parts }: { values: readonly number[]; room: readonly [number, number]; parts: number },
): LaidOut {
  const { scale, signed = false } = axis
  if (typeof scale === 'object') return named(scale.names, room)
  const from = axis.from ?? Math.min(...values)
  const to = axis.to ?? Math.max(...values)
  const ends: [number, number] = from === to ? [from - 1, to + 1] : [from, to]
  const given = axis.from !== undefined && axis.to !== undefined
  const base = (scale === 'log' ? scaleLog() : scaleLinear()).domain(ends).range([...room])
  const laid = given ? base : base.nice()
  return {
    place: value => laid(value),
    ticks: laid.ticks(parts).map(value => ({ value, words: numberWords(value, signed) })),
    step: 0,
  }
}

function named(names: readonly string[], [from, to]: readonly [number, number]): LaidOut {
  const step = (to - from) / Math.max(1, names.length)
  return {
    place: index => from + (index + 0.5) * step,
    ticks: names.map((words, value) => ({ value, words })),
    step: Math.abs(step),
  }
}

/** A number as an axis writes it, with a true minus. */
function numberWords(value: number, signed: boolean): string {
  const text = String(Number(value.toPrecision(6)))
  const sign = signed && value > 0 ? '+' : ''
  return sign + text.replace('-', '−')
}
