import { type Page } from '@playwright/test'

/** Little-endian chunks of a WAV file. */
export function wav(
  samples: Int16Array | Float32Array,
  format: { rate: number; channels: number; promise?: number },
): Buffer {
  const float = samples instanceof Float32Array
  const data = Buffer.from(samples.buffer, samples.byteOffset, samples.byteLength)
  const head = Buffer.alloc(44)
  head.write('RIFF', 0)
  head.writeUInt32LE(36 + data.length, 4)
  head.write('WAVEfmt ', 8)
  head.writeUInt32LE(16, 16)
  head.writeUInt16LE(float ? 3 : 1, 20)
  head.writeUInt16LE(format.channels, 22)
  head.writeUInt32LE(format.rate, 24)
  head.writeUInt32LE(format.rate * format.channels * samples.BYTES_PER_ELEMENT, 28)
  head.writeUInt16LE(format.channels * samples.BYTES_PER_ELEMENT, 32)
  head.writeUInt16LE(8 * samples.BYTES_PER_ELEMENT, 34)
  head.write('data', 36)
  head.writeUInt32LE(format.promise ?? data.length, 40)
  return Buffer.concat([head, data])
}

/** One tone of 1 kHz on a carrier, as I/Q. */
export function fmSamples(signal: {
  rate: number
  seconds: number
  offsetHz: number
  deviationHz: number
}): Int16Array {
  const count = Math.round(signal.rate * signal.seconds)
  const samples = new Int16Array(2 * count)
  for (let n = 0; n < count; n++) {
    const t = n / signal.rate
    const phase =
      2 * Math.PI * signal.offsetHz * t - (signal.deviationHz / 1000) * Math.cos(2 * Math.PI * 1000 * t)
    samples[2 * n] = Math.round(12_000 * Math.cos(phase))
    samples[2 * n + 1] = Math.round(12_000 * Math.sin(phase))
  }
  return samples
}

/** Two tones and one product, as audio. */
export function twoToneSamples(rate: number): Float32Array {
  return Float32Array.from({ length: rate * 2 }, (_unused, n) =>
    [
      [700, 0.3],
      [1900, 0.3],
      [3100, 0.3 * 10 ** (-30 / 20)],
    ].reduce((sum, [hz, a]) => sum + a! * Math.cos((2 * Math.PI * hz! * n) / rate), 0),
  )
}

export async function drop(page: Page, files: { name: string; bytes: Buffer }[]): Promise<void> {
  const transfer = await page.evaluateHandle(
    given => {
      const data = new DataTransfer()
      for (const { name, base64 } of given)
        data.items.add(new File([Uint8Array.from(atob(base64), letter => letter.charCodeAt(0))], name))
      return data
    },
    files.map(({ name, bytes }) => ({ name, base64: bytes.toString('base64') })),
  )
  await page.locator('.with-side').dispatchEvent('drop', { dataTransfer: transfer })
}
