import type { SvgElement } from '../svg'
import { chartDrawing, type DrawnIn } from './drawChart'
import { stripsDrawing } from './drawStrips'
import type { Plot } from './model'

/** A plot without its title, in the room there is. */
export function plotDrawing(plot: Plot, drawn: DrawnIn): SvgElement {
  return plot.kind === 'chart' ? chartDrawing(plot, drawn) : stripsDrawing(plot, drawn)
}
