import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { LONGEST_SIDE, scalePicture } from '~/pictures/scalePicture'

const picture = (width: number, height: number) => ({ width, height, close: vi.fn() })
const drawn = vi.fn()

describe('pictures for keeping', () => {
  beforeEach(() => {
    drawn.mockReset()
    vi.spyOn(HTMLCanvasElement.prototype, 'getContext').mockReturnValue({
      drawImage: drawn,
    } as unknown as null)
    vi.spyOn(HTMLCanvasElement.prototype, 'toDataURL').mockReturnValue(
      `data:image/jpeg;base64,${'A'.repeat(400)}`,
    )
  })

  afterEach(() => {
    vi.restoreAllMocks()
    vi.unstubAllGlobals()
  })

  it.each([
    [4000, 3000, LONGEST_SIDE, 960],
    [3000, 4000, 960, LONGEST_SIDE],
    [640, 480, 640, 480],
    [5000, 1, LONGEST_SIDE, 1],
  ])('of %i × %i are %i × %i', async (width, height, wantedWidth, wantedHeight) => {
    const bitmap = picture(width, height)
    vi.stubGlobal('createImageBitmap', async () => bitmap)
    const scaled = await scalePicture(new File(['x'], 'a.png'))
    expect(scaled).toMatchObject({ width: wantedWidth, height: wantedHeight, bytes: 300 })
    expect(drawn).toHaveBeenCalledWith(bitmap, 0, 0, wantedWidth, wantedHeight)
    expect(bitmap.close).toHaveBeenCalled()
  })

  it('are refused in plain words when they are none, or too large', async () => {
    vi.stubGlobal('createImageBitmap', async () => {
      throw new Error('no')
    })
    await expect(scalePicture(new File(['x'], 'words.txt'))).rejects.toThrow(
      'no picture this browser can read',
    )
    const huge = new File(['x'], 'huge.png')
    Object.defineProperty(huge, 'size', { value: 50_000_000 })
    await expect(scalePicture(huge)).rejects.toThrow('40 MB')
  })
})
