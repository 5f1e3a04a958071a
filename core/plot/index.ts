export type { DrawnIn } from './drawChart'
export { plotDrawing } from './drawPlot'
export type {
  ChartPlot,
  Plot,
  PlotAxis,
  PlotMark,
  PlotPoint,
  PlotSeries,
  PlotShade,
  StripRow,
  StripsPlot,
} from './model'
export { PICTURE_SHAPES, type PictureNote, pictureOf, type PictureShape, plotFigure } from './picture'
