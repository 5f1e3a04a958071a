import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { workerFolder } from '~/storage/secondCopy/copyFolder'
import { createJournalStore } from '~/storage/secondCopy/journalStore'
import { soundFrames } from '~/storage/secondCopy/frames'
import { memoryFolder } from './memoryFolder'

const missing = () => new DOMException('no such file', 'NotFoundError')

/** The browser's private files as far as they are used here; tells how often a place was asked for. */
function privateFiles() {
  const { files, folder } = memoryFolder()
  const asked: string[] = []
  const directory = {
    getDirectoryHandle: () => Promise.resolve(directory),
    async getFileHandle(name: string) {
      asked.push(name)
      ;(await folder.open(name)).close()
      return {
        createSyncAccessHandle: () => (files.has(name) ? folder.open(name) : Promise.reject(missing())),
      }
    },
    removeEntry: (name: string) => (files.delete(name) ? Promise.resolve() : Promise.reject(missing())),
  }
  return { files, asked, getDirectory: () => Promise.resolve(directory) }
}

let browser: ReturnType<typeof privateFiles>
beforeEach(() => {
  browser = privateFiles()
  vi.stubGlobal('navigator', { storage: browser })
})
afterEach(() => void vi.unstubAllGlobals())

describe('the folder of the worker', () => {
  it('asks once where a file stands, however often it is opened', async () => {
    const folder = workerFolder()
    for (let i = 0; i < 3; i++) (await folder.open('a')).write(Uint8Array.of(i), { at: i })
    await folder.open('b')
    expect(browser.asked).toEqual(['a', 'b'])
    expect([...browser.files.get('a')!]).toEqual([0, 1, 2])
  })

  it('asks again when another tab has removed the file, or this one has', async () => {
    const folder = workerFolder()
    await folder.open('a')
    browser.files.delete('a')
    ;(await folder.open('a')).write(Uint8Array.of(7), { at: 0 })
    await folder.remove('a')
    await folder.open('a')
    expect(browser.asked).toEqual(['a', 'a', 'a'])
    expect(browser.files.get('a')).toHaveLength(0)
  })

  it('removes what is not there without a word, and passes on every other refusal', async () => {
    const folder = workerFolder()
    await folder.remove('never')
    browser.files.set('a', new Uint8Array())
    const refused = new DOMException('no', 'NoModificationAllowedError')
    const directory = await browser.getDirectory()
    directory.removeEntry = () => Promise.reject(refused)
    directory.getFileHandle = () => Promise.reject(refused)
    await expect(folder.remove('a')).rejects.toBe(refused)
    await expect(folder.open('a')).rejects.toBe(refused)
  })
})

describe('journals in its files', () => {
  const file = () => [...browser.files.values()][0]!
  const texts = () => soundFrames(file()).payloads.map(bytes => new TextDecoder().decode(bytes))

  it('stand one behind the other, and after what is sound of a file that was cut off', async () => {
    const store = createJournalStore(workerFolder())
    await store.leaveJournal('review', 'one')
    await store.leaveJournal('review', 'two')
    expect(texts()).toEqual(['one', 'two'])
    const [name] = [...browser.files.keys()]
    browser.files.set(name!, file().slice(0, -1))
    await store.leaveJournal('review', 'three')
    expect(texts()).toEqual(['one', 'three'])
    expect(soundFrames(file()).soundBytes).toBe(file().length)
  })

  it('are begun anew when the file would grow beyond a megabyte', async () => {
    const store = createJournalStore(workerFolder())
    const long = 'x'.repeat(600_000)
    await store.leaveJournal('review', `${long}1`)
    await store.leaveJournal('review', `${long}2`)
    expect(texts()).toEqual([`${long}2`])
    await store.leaveJournal('review', 'short')
    expect(texts()).toEqual([`${long}2`, 'short'])
  })
})
