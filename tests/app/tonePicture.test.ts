import { describe, expect, it } from 'vitest'
import { type ToneCanvas, type ToneLook, tonePicture } from '~/stations/sensitivity/tonePicture'
import type { Heard } from '~/workers/listen.worker'

const LOOK: ToneLook = {
  widthPx: 400,
  pixelRatio: 2,
  colours: { tone: 'T', distortion: 'D', noise: 'N', track: '-', near: '!' },
}

const heard = (more: Partial<Heard> = {}): Heard => ({
  sinadDb: 12,
  steady: null,
  toneHz: 1000,
  totalDb: -10,
  shares: { tone: 0.81, distortion: 0.01, noise: 0.0625 },
  peakDb: -30,
  doubts: [],
  ...more,
})

/** A canvas that writes down what is filled, in its colour, and where lines go. */
function paper() {
  const filled: { colour: unknown; x: number; y: number; width: number; height: number }[] = []
  const points: [number, number][] = []
  const canvas: ToneCanvas = {
    fillStyle: '',
    strokeStyle: '',
    lineWidth: 0,
    setTransform: () => {},
    clearRect: () => {
      filled.length = 0
      points.length = 0
    },
    fillRect: (x, y, width, height) => filled.push({ colour: canvas.fillStyle, x, y, width, height }),
    beginPath: () => {},
    moveTo: (x, y) => points.push([x, y]),
    lineTo: (x, y) => points.push([x, y]),
    stroke: () => {},
  }
  return { canvas, filled, points }
}

describe('the picture of what is heard', () => {
  it('is a bar of voltages, one after the other over the whole width', () => {
    const { canvas, filled } = paper()
    tonePicture(canvas, LOOK, () => {}).draw(heard())
    const [track, tone, distortion, noise] = filled
    expect(track).toMatchObject({ colour: '-', x: 0, width: 400 })
    // Voltages 0.9, 0.1 and 0.25 of 1.25.
    expect([tone!.colour, tone!.x, tone!.width].map(String)).toEqual(['T', '0', '288'])
    expect(distortion!.colour).toBe('D')
    expect(distortion!.width).toBeCloseTo(32)
    expect(noise!.colour).toBe('N')
    expect(noise!.x + noise!.width).toBeCloseTo(400)
  })

  it('shows the level between −60 dB and clipping, and warns within 3 dB of it', () => {
    const level = (peakDb: number) => {
      const { canvas, filled } = paper()
      tonePicture(canvas, LOOK, () => {}).draw(heard({ peakDb }))
      return filled.at(-1)!
    }
    expect(level(-30)).toMatchObject({ colour: 'T', width: 200 })
    expect(level(-3.1).colour).toBe('T')
    expect(level(-2.9).colour).toBe('!')
    expect(level(-90).width).toBe(0)
    expect(level(1).width).toBe(400)
  })

  it('draws a line through the last eight seconds, higher where SINAD is', () => {
    const { canvas, points } = paper()
    const picture = tonePicture(canvas, LOOK, () => {})
    for (let i = 0; i < 50; i++) picture.draw(heard({ sinadDb: i < 49 ? 10 : 14 }))
    expect(points).toHaveLength(40)
    expect(points[0]![0]).toBe(0)
    expect(points[39]![0]).toBe(400)
    expect(points[39]![1]).toBeLessThan(points[38]![1])
    picture.draw(heard({ sinadDb: null, shares: null }))
    expect(points).toHaveLength(40)
  })

  it('has the pixels of the screen it is on, also after it has moved to another', () => {
    const sizes: [number, number][] = []
    const picture = tonePicture(paper().canvas, LOOK, (width, height) => sizes.push([width, height]))
    picture.look({ ...LOOK, pixelRatio: 1, widthPx: 300 })
    expect(sizes).toEqual([
      [800, 124],
      [300, 62],
    ])
  })
})
