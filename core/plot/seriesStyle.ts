import type { Inks } from '../svg'

/** How one radio is told from another: by colour, dash and shape. */
export interface SeriesStyle {
  colour: string
  /** Dashes for a text size; empty for an unbroken line. */
  dash: (size: number) => string
  shape: 'circle' | 'square' | 'diamond'
}

const DASHES: readonly (readonly number[])[] = [[], [0.55, 0.3], [0.15, 0.25], [0.8, 0.25, 0.15, 0.25]]
const SHAPES = ['circle', 'square', 'diamond'] as const

/** The style of the so-manieth radio. */
export function seriesStyle(index: number, inks: Inks): SeriesStyle {
  const colours = [inks.spruce, inks.ink2, inks.line2, inks.ink]
  const dashes = DASHES[index % DASHES.length]!
  return {
    colour: colours[index % colours.length]!,
    dash: size => dashes.map(share => String(Math.round(share * size * 100) / 100)).join(' '),
    shape: SHAPES[index % SHAPES.length]!,
  }
}
