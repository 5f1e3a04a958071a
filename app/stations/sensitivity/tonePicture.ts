import type { Heard } from '~/workers/listen.worker'

/** Size and colours of the picture. */
export interface ToneLook {
  /** Width of the picture on the screen, px of CSS. */
  widthPx: number
  pixelRatio: number
  colours: Record<'tone' | 'distortion' | 'noise' | 'track' | 'near', string>
}

/** What is used of a canvas. */
export type ToneCanvas = Pick<
  CanvasRenderingContext2D,
  | 'beginPath'
  | 'clearRect'
  | 'fillRect'
  | 'fillStyle'
  | 'lineTo'
  | 'lineWidth'
  | 'moveTo'
  | 'setTransform'
  | 'stroke'
  | 'strokeStyle'
>

/** Draws what is heard, report by report. */
export interface TonePicture {
  draw: (heard: Heard) => void
  look: (look: ToneLook) => void
}

/** Height of the whole picture, px of CSS. */
export const PICTURE_HEIGHT_PX = 62

const BAR_PX = 26
const LINE = { topPx: 31, heightPx: 20 }
const LEVEL = { topPx: 56, heightPx: 6 }

/** Reports the line goes back: eight seconds. */
const PAST_REPORTS = 40
/** The line is at least this tall, dB. */
const LEAST_SPAN_DB = 1

/** Left end of the level’s track, dB of full scale. */
export const FLOOR_DB = -60
/** Nearer to clipping than this is too near, dB. */
export const CLIPS_WITHIN_DB = 3

/**
 * A picture of tone, distortion and noise as one bar of voltages, the last seconds as a line, and the level
 * against clipping. It is drawn wherever its canvas is: off the page’s own thread where the browser can.
 * @param resize - gives the canvas its size in its own pixels.
 */
export function tonePicture(
  canvas: ToneCanvas,
  first: ToneLook,
  resize: (widthPx: number, heightPx: number) => void,
): TonePicture {
  let now = first
  let heard: Heard | null = null
  const past: number[] = []

  function fit(): void {
    resize(Math.round(now.widthPx * now.pixelRatio), Math.round(PICTURE_HEIGHT_PX * now.pixelRatio))
  }

  function paint(): void {
    canvas.setTransform(now.pixelRatio, 0, 0, now.pixelRatio, 0, 0)
    canvas.clearRect(0, 0, now.widthPx, PICTURE_HEIGHT_PX)
    paintBar(canvas, now, heard)
    paintLine(canvas, now, past)
    paintLevel(canvas, now, heard?.peakDb ?? FLOOR_DB)
  }

  fit()
  paint()
  return {
    draw(value) {
      heard = value
      if (value.sinadDb !== null) past.push(value.sinadDb)
      if (past.length > PAST_REPORTS) past.shift()
      paint()
    },
    look(value) {
      now = value
      fit()
      paint()
    },
  }
}

/** The bar shows voltages: at 12 dB SINAD noise is a quarter of the whole. */
function paintBar(canvas: ToneCanvas, { widthPx, colours }: ToneLook, heard: Heard | null): void {
  canvas.fillStyle = colours.track
  canvas.fillRect(0, 0, widthPx, BAR_PX)
  const shares = heard?.shares
  if (!shares) return
  const parts = (['tone', 'distortion', 'noise'] as const).map(name => ({
    name,
    height: Math.sqrt(shares[name]),
  }))
  const whole = parts.reduce((sum, { height }) => sum + height, 0)
  let left = 0
  for (const { name, height } of parts) {
    const width = (widthPx * height) / whole
    canvas.fillStyle = colours[name]
    canvas.fillRect(left, 0, width, BAR_PX)
    left += width
  }
}

function paintLine(canvas: ToneCanvas, { widthPx, colours }: ToneLook, past: readonly number[]): void {
  if (past.length < 2) return
  const low = Math.min(...past) - LEAST_SPAN_DB / 2
  const high = Math.max(...past) + LEAST_SPAN_DB / 2
  canvas.strokeStyle = colours.tone
  canvas.lineWidth = 1.5
  canvas.beginPath()
  past.forEach((value, i) => {
    const x = (i / (past.length - 1)) * widthPx
    const y = LINE.topPx + LINE.heightPx * (1 - (value - low) / (high - low))
    if (i === 0) canvas.moveTo(x, y)
    else canvas.lineTo(x, y)
  })
  canvas.stroke()
}

function paintLevel(canvas: ToneCanvas, { widthPx, colours }: ToneLook, peakDb: number): void {
  const share = Math.max(0, Math.min(1, (peakDb - FLOOR_DB) / -FLOOR_DB))
  canvas.fillStyle = colours.track
  canvas.fillRect(0, LEVEL.topPx, widthPx, LEVEL.heightPx)
  canvas.fillStyle = peakDb > -CLIPS_WITHIN_DB ? colours.near : colours.tone
  canvas.fillRect(0, LEVEL.topPx, share * widthPx, LEVEL.heightPx)
}
