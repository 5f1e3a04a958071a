import type { Verdict } from '../decision'

/** What an axis counts. */
export type PlotScale = 'linear' | 'log' | { names: readonly string[] }

/** An axis: what it counts, and how far. Without ends it is as long as what is drawn. */
export interface PlotAxis {
  title: string
  scale: PlotScale
  from?: number
  to?: number
  /** A plus is written where it counts. */
  signed?: boolean
}

/** A point with its 95 % range; on an axis of names `x` counts them from nought. */
export interface PlotPoint {
  x: number
  y: number
  low?: number
  high?: number
  /** It is only known to lie below, or above. */
  bound?: 'below' | 'above'
  /** The verdict on it, where it has one. */
  state?: Verdict['state']
}

/** What one radio’s figures draw. */
export interface PlotSeries {
  name: string
  shape: 'line' | 'points' | 'stems'
  points: readonly PlotPoint[]
}

/** A figure something is held against, along the whole plot or a part of it. */
export interface PlotMark {
  title: string
  y: number
  from?: number
  to?: number
  kind: 'limit' | 'claim' | 'criterion'
}

/** A part of the plot of which nothing is known. */
export interface PlotShade {
  words: string
  fromX: number
  toX: number
  fromY?: number
}

interface PlotHead {
  id: string
  stationId: string
  title: string
  /** Units and conditions. */
  subtitle: string
  /** What it shows, for who cannot see it. */
  spoken: string
}

/** Figures over something. */
export interface ChartPlot extends PlotHead {
  kind: 'chart'
  x: PlotAxis
  y: PlotAxis
  series: readonly PlotSeries[]
  marks: readonly PlotMark[]
  shades: readonly PlotShade[]
}

/** One figure and how far inside or outside it is. */
export interface StripRow {
  label: string
  words: string
  /** null: an observation. */
  verdict: Verdict | null
}

/** Figures one under the other, each with its strip. */
export interface StripsPlot extends PlotHead {
  kind: 'strips'
  rows: readonly StripRow[]
  /** How many more there are that are not drawn. */
  more: number
}

/** A drawing of figures as data: every medium draws the same. */
export type Plot = ChartPlot | StripsPlot
