import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { CopyFolder } from '~/storage/secondCopy/copyFolder'
import { heldOpen } from '~/storage/secondCopy/heldFiles'
import { memoryFolder } from './memoryFolder'

const taken = () => new DOMException('open elsewhere', 'NoModificationAllowedError')

/** A folder that tells what is asked of it, and whose next answers can be set. */
function watched() {
  const { files, folder } = memoryFolder()
  const said: string[] = []
  const answers: ((real: () => Promise<unknown>) => Promise<unknown>)[] = []
  const answered = <T>(real: () => Promise<T>): Promise<T> =>
    (answers.shift()?.(real) ?? real()) as Promise<T>
  const told: CopyFolder = {
    names: folder.names,
    open: name => {
      said.push(`open ${name}`)
      return answered(async () => {
        const file = await folder.open(name)
        return { ...file, close: () => void said.push(`close ${name}`) }
      })
    },
    remove: name => {
      said.push(`remove ${name}`)
      return answered(() => folder.remove(name))
    },
  }
  return { files, said, answers, held: heldOpen(told) }
}

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

describe('a file of the second copy', () => {
  it('stays open for a moment after it was used, and is closed then', async () => {
    const { files, said, held } = watched()
    for (const at of [0, 1]) {
      const file = await held.open('a')
      file.write(Uint8Array.of(at + 1), { at })
      file.close()
      await vi.advanceTimersByTimeAsync(150)
    }
    expect(said).toEqual(['open a'])
    expect([...files.get('a')!]).toEqual([1, 2])
    await vi.advanceTimersByTimeAsync(100)
    expect(said).toEqual(['open a', 'close a'])
    await held.open('a')
    expect(said.at(-1)).toBe('open a')
  })

  it('is asked for again where the browser never answers; one that comes late is closed', async () => {
    const { said, answers, held } = watched()
    let late: (() => void) | undefined
    answers.push(
      real =>
        new Promise(resolve => {
          late = () => resolve(real())
        }),
    )
    const opening = held.open('a')
    await vi.advanceTimersByTimeAsync(499)
    expect(said).toEqual(['open a'])
    await vi.advanceTimersByTimeAsync(200)
    const file = await opening
    expect(said).toEqual(['open a', 'open a'])
    late!()
    await vi.advanceTimersByTimeAsync(1)
    expect(said).toEqual(['open a', 'open a', 'close a'])
    expect(file.getSize()).toBe(0)
  })

  it('is refused in the end where the browser never gives it', async () => {
    const { answers, held } = watched()
    for (let i = 0; i < 4; i++) answers.push(() => new Promise(() => {}))
    const refused = expect(held.open('a')).rejects.toThrow('does not open')
    await vi.advanceTimersByTimeAsync(5000)
    await refused
  })

  it('that another tab has open is waited for, to be opened and to be removed; nothing else is', async () => {
    const { said, answers, held } = watched()
    answers.push(() => Promise.reject(taken()))
    const opening = held.open('a')
    await vi.advanceTimersByTimeAsync(100)
    const file = await opening
    file.close()
    answers.push(
      () => Promise.reject(taken()),
      () => Promise.reject(taken()),
    )
    const removing = held.remove('a')
    await vi.advanceTimersByTimeAsync(200)
    await removing
    expect(said).toEqual(['open a', 'open a', 'close a', 'remove a', 'remove a', 'remove a'])
    answers.push(() => Promise.reject(new DOMException('no room', 'QuotaExceededError')))
    await expect(held.open('b')).rejects.toThrow('no room')
  })

  it('that another tab never closes is told after four rounds', async () => {
    const { said, answers, held } = watched()
    for (let i = 0; i < 4; i++) answers.push(() => Promise.reject(taken()))
    const refused = expect(held.remove('a')).rejects.toThrow('open elsewhere')
    await vi.advanceTimersByTimeAsync(5000)
    await refused
    expect(said).toHaveLength(4)
  })
})
