/** Hands what the sound card delivers to the worker that reads it; nothing is worked out here. */
declare const registerProcessor: (name: string, processor: new () => unknown) => void
declare class AudioWorkletProcessor {
  readonly port: MessagePort
}

const PIECE = 2048

class Capture extends AudioWorkletProcessor {
  private to: MessagePort | null = null
  private channel = 0
  private piece = new Float32Array(PIECE)
  private filled = 0

  constructor() {
    super()
    this.port.onmessage = ({ data }: MessageEvent<{ to?: MessagePort; channel?: number }>) => {
      if (data.to) this.to = data.to
      if (data.channel !== undefined) this.channel = data.channel
    }
  }

  process(inputs: Float32Array[][]): boolean {
    const channels = inputs[0] ?? []
    const samples = channels[Math.min(this.channel, channels.length - 1)]
    if (samples) this.take(samples)
    return true
  }

  private take(samples: Float32Array): void {
    this.piece.set(samples, this.filled)
    this.filled += samples.length
    if (this.filled + samples.length <= PIECE) return
    const full = this.piece.slice(0, this.filled)
    this.to?.postMessage(full, [full.buffer])
    this.filled = 0
  }
}

registerProcessor('capture', Capture)
