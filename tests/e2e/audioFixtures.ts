import { writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { added, gaussian, sines } from '../support/audio'

const RATE = 48_000
const AMPLITUDE = 0.2

/** 1 kHz with white noise, SINAD of so many dB in 300 Hz to 3 kHz by the closed form. */
function toneAt(sinadDb: number, seconds: number, seed: number): Float64Array {
  const count = seconds * RATE
  const noisePower = AMPLITUDE ** 2 / 2 / (10 ** (sinadDb / 10) - 1)
  const rms = Math.sqrt((noisePower * (RATE / 2)) / 2700)
  return added(sines(count, RATE, [{ hz: 1000, amplitude: AMPLITUDE }]), gaussian(count, rms, seed))
}

/** A WAV of 16 bits of one level after another, each of so many seconds. */
export function steppedWav(levelsDb: readonly number[], seconds: number): Buffer {
  const pieces = levelsDb.map((level, index) => toneAt(level, seconds, 11 + index))
  const count = pieces.reduce((sum, piece) => sum + piece.length, 0)
  const bytes = Buffer.alloc(44 + 2 * count)
  bytes.write('RIFF', 0)
  bytes.writeUInt32LE(36 + 2 * count, 4)
  bytes.write('WAVEfmt ', 8)
  bytes.writeUInt32LE(16, 16)
  bytes.writeUInt16LE(1, 20)
  bytes.writeUInt16LE(1, 22)
  bytes.writeUInt32LE(RATE, 24)
  bytes.writeUInt32LE(2 * RATE, 28)
  bytes.writeUInt16LE(2, 32)
  bytes.writeUInt16LE(16, 34)
  bytes.write('data', 36)
  bytes.writeUInt32LE(2 * count, 40)
  let at = 44
  for (const piece of pieces)
    for (const sample of piece) {
      bytes.writeInt16LE(Math.round(32767 * Math.max(-1, Math.min(1, sample))), at)
      at += 2
    }
  return bytes
}

/** The WAV the fake sound card plays: its path. */
export function fakeCardWav(sinadDb: number): string {
  const path = join(tmpdir(), `rigorous-meter-fake-card-${process.pid}.wav`)
  writeFileSync(path, steppedWav([sinadDb], 20))
  return path
}
