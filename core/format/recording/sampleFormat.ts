/** How samples lie in a file. */
export interface SampleFormat {
  encoding: 'int' | 'uint' | 'float'
  bits: 8 | 16 | 24 | 32 | 64
  littleEndian: boolean
  /** Values for each moment: 2 for I and Q, or for two audio channels. */
  channels: number
}

/** Bytes of one moment. */
export function bytesPerSample(format: SampleFormat): number {
  return (format.bits / 8) * format.channels
}

/** What is taken of the channels: a pair of them as I and Q, or one as real audio. Both count from nought. */
export type ChannelUse = { kind: 'iq'; pair?: number } | { kind: 'audio'; channel: number }

/**
 * Turns bytes into I, Q, I, Q … with full scale ±1; audio gets a quadrature part of nought. Bytes that do not
 * fill a moment are left.
 */
export function decodeSamples(bytes: Uint8Array, format: SampleFormat, use: ChannelUse): Float32Array {
  const stride = bytesPerSample(format)
  const count = Math.floor(bytes.length / stride)
  const samples = new Float32Array(2 * count)
  if (
    use.kind === 'iq' &&
    format.encoding === 'float' &&
    format.bits === 32 &&
    format.littleEndian &&
    format.channels === 2
  ) {
    new Uint8Array(samples.buffer).set(bytes.subarray(0, count * stride))
    return samples
  }
  const read = readerOf(new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength), format)
  const size = format.bits / 8
  const first =
    use.kind === 'iq'
      ? 2 * Math.max(0, Math.min(use.pair ?? 0, Math.floor(format.channels / 2) - 1))
      : Math.min(use.channel, format.channels - 1)
  for (let n = 0; n < count; n++) {
    const at = n * stride + first * size
    samples[2 * n] = read(at)
    if (use.kind === 'iq') samples[2 * n + 1] = read(at + size)
  }
  return samples
}

function readerOf(view: DataView, format: SampleFormat): (at: number) => number {
  const { encoding, bits, littleEndian } = format
  if (encoding === 'float')
    return bits === 64 ? at => view.getFloat64(at, littleEndian) : at => view.getFloat32(at, littleEndian)
  const scale = 2 ** -(bits - 1)
  const middle = encoding === 'uint' ? 1 : 0
  switch (bits) {
    case 8:
      return encoding === 'uint' ? at => (view.getUint8(at) - 127.5) / 127.5 : at => view.getInt8(at) * scale
    case 16:
      return encoding === 'uint'
        ? at => view.getUint16(at, littleEndian) * scale - middle
        : at => view.getInt16(at, littleEndian) * scale
    case 24:
      return littleEndian
        ? at => ((view.getInt8(at + 2) << 16) | view.getUint16(at, true)) * scale
        : at => ((view.getInt8(at) << 16) | view.getUint16(at + 1, false)) * scale
    default:
      return encoding === 'uint'
        ? at => view.getUint32(at, littleEndian) * scale - middle
        : at => view.getInt32(at, littleEndian) * scale
  }
}
