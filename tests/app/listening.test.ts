import { expect, it, vi } from 'vitest'
import { useListening } from '~/composables/useListening'
import type { SinadSettings } from '#core/signal'

const opened = vi.hoisted(() => ({ waiting: [] as ((input: object) => void)[], closed: 0 }))

vi.mock('~/composables/soundInput', () => ({
  openSoundInput: () => new Promise(resolve => opened.waiting.push(resolve)),
  captureFrom: async () => ({ port: new MessageChannel().port1, node: {}, choose: () => undefined }),
  inputDevices: async () => [],
  refusalWords: String,
}))

class NoWorker {
  postMessage(): void {}
  terminate(): void {}
}
vi.stubGlobal('Worker', NoWorker)

const input = () => ({
  ...{ context: { sampleRate: 48_000 }, source: { connect: () => undefined }, deviceId: 'mic', channels: 1 },
  ...{ facts: { name: 'Microphone' }, close: () => void (opened.closed += 1) },
})
const settled = () => new Promise(resolve => setTimeout(resolve, 5))

it('gives a microphone back that came after somebody stopped, and keeps one that is wanted', async () => {
  const listening = useListening(() => ({}) as SinadSettings)
  const first = listening.listen()
  listening.stop()
  opened.waiting.shift()!(input())
  await first
  expect([opened.closed, listening.state.value.kind]).toEqual([1, 'off'])

  // Pressed twice: the first to come is not the one that is wanted.
  const [second, third] = [listening.listen(), listening.listen()]
  opened.waiting.shift()!(input())
  await second
  expect([opened.closed, listening.state.value.kind]).toEqual([2, 'starting'])
  opened.waiting.shift()!(input())
  await third
  await settled()
  expect([opened.closed, listening.state.value.kind]).toEqual([2, 'listening'])
  listening.stop()
  expect([opened.closed, listening.state.value.kind]).toEqual([3, 'off'])
})
