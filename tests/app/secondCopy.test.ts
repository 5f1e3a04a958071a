import { describe, expect, it } from 'vitest'
import { readCopy } from '~/storage/secondCopy/copyEntries'
import { journalFile, readFileName } from '~/storage/secondCopy/copyNames'
import { createCopyStore } from '~/storage/secondCopy/copyStore'
import { soundFrames } from '~/storage/secondCopy/frames'
import { createJournalStore } from '~/storage/secondCopy/journalStore'
import { seal } from '~/storage/seal'
import { memoryFolder } from './memoryFolder'

/** A database of records, and a copy of it in memory. */
function copied() {
  const records = new Map<string, unknown>()
  const { files, folder } = memoryFolder()
  const database = {
    names: () => Promise.resolve([...records.keys()]),
    records: (names: readonly string[]) => Promise.resolve(names.map(name => records.get(name))),
  }
  const newStore = () => createCopyStore(folder, database)
  return { records, files, newStore, store: newStore() }
}

const cutShort = (files: Map<string, Uint8Array>, name: string, bytes: number) =>
  files.set(name, files.get(name)!.slice(0, -bytes))
const names = (files: Map<string, Uint8Array>) => [...files.keys()]

describe('the copy of a review in files', () => {
  it('holds what the database does, record by record, and what is gone is gone', async () => {
    const { records, store } = copied()
    const trace = { form: 6, length: 2, sum: 5, levelsDbm: new Float64Array([-13.5, Number.NaN]) }
    records
      .set('head:a', seal({ title: 'Grüße – µ' }))
      .set('trace:a:1', trace)
      .set('head:b', seal(1))
    await store.follow('a', ['head:a'])
    expect(await store.recordsOf('a')).toEqual(
      new Map([
        ['head:a', records.get('head:a')],
        ['trace:a:1', trace],
      ]),
    )
    records
      .set('head:a', seal({ title: 'second' }))
      .set('part:a:sets:0', seal([1]))
      .delete('trace:a:1')
    await store.follow('a', ['head:a', 'part:a:sets:0', 'trace:a:1'])
    expect(await store.recordsOf('a')).toEqual(
      new Map([
        ['head:a', seal({ title: 'second' })],
        ['part:a:sets:0', seal([1])],
      ]),
    )
  })

  it('appends only what changed', async () => {
    const { records, files, store } = copied()
    records.set('head:a', seal('x'.repeat(5000))).set('part:a:sets:0', seal([1]))
    await store.follow('a', ['head:a'])
    const before = files.get('a.1.copy')!.length
    await store.follow('a', ['part:a:sets:0'])
    expect(files.get('a.1.copy')!.length - before).toBeGreaterThan(30)
    expect(files.get('a.1.copy')!.length - before).toBeLessThan(120)
  })

  it('loses no more than the entry that was cut off, and is whole again after it is checked', async () => {
    const { records, files, store, newStore } = copied()
    records.set('head:a', seal('first'))
    await store.follow('a', ['head:a'])
    records.set('head:a', seal('second'))
    await store.follow('a', ['head:a'])
    cutShort(files, 'a.1.copy', 1)
    expect((await newStore().recordsOf('a'))?.get('head:a')).toEqual(seal('first'))
    const next = newStore()
    await next.check('a')
    expect((await next.recordsOf('a'))?.get('head:a')).toEqual(seal('second'))
    records.set('head:a', seal('third'))
    await next.follow('a', ['head:a'])
    expect((await next.recordsOf('a'))?.get('head:a')).toEqual(seal('third'))
  })

  it('cuts a torn end off where the rest is right, so that what follows can be read', async () => {
    const { records, files, store, newStore } = copied()
    records.set('head:a', seal('first'))
    await store.follow('a', ['head:a'])
    files.set('a.1.copy', new Uint8Array([...files.get('a.1.copy')!, 200, 0, 0, 0, 7]))
    const next = newStore()
    await next.check('a')
    expect(names(files)).toEqual(['a.1.copy'])
    records.set('head:a', seal('second'))
    await next.follow('a', ['head:a'])
    expect((await next.recordsOf('a'))?.get('head:a')).toEqual(seal('second'))
  })

  it('passes over a making that was cut short, for the one before', async () => {
    const { records, files, store, newStore } = copied()
    records.set('head:a', seal('first'))
    await store.follow('a', ['head:a'])
    const whole = files.get('a.1.copy')!
    files.set('a.2.copy', whole.slice(0, -3))
    expect((await newStore().recordsOf('a'))?.get('head:a')).toEqual(seal('first'))
    await newStore().check('a')
    expect(readCopy(files.get('a.1.copy')!).isWhole).toBe(true)
  })

  it('is made anew when another tab has written it, and when too much was appended', async () => {
    const { records, files, store, newStore } = copied()
    records.set('head:a', seal('first'))
    await store.follow('a', ['head:a'])
    await newStore().follow('a', ['head:a'])
    expect(names(files)).toEqual(['a.2.copy'])
    records.set('head:a', seal('second'))
    await store.follow('a', ['head:a'])
    expect(names(files)).toEqual(['a.3.copy'])
    records.set('part:a:sets:0', seal('x'.repeat(3e6)))
    for (let i = 0; i < 3; i++) await store.follow('a', ['part:a:sets:0'])
    expect(names(files)).toEqual(['a.4.copy'])
    expect(files.get('a.4.copy')!.length).toBeLessThan(3.1e6)
  })

  it('is gone with its review, journal or not, and leaves its neighbours', async () => {
    const { records, files, store } = copied()
    records.set('head:a', seal(1)).set('head:a b', seal(2))
    await store.follow('a', ['head:a'])
    await store.follow('a b', ['head:a b'])
    await store.forget('a')
    expect(await store.recordsOf('a')).toBeNull()
    expect(names(files)).toEqual(['a%20b.1.copy'])
    records.delete('head:a b')
    await store.follow('a b', ['head:a b'])
    expect(await store.recordsOf('a b')).toEqual(new Map())
  })
})

describe('journals in files', () => {
  const last = (bytes: Uint8Array | undefined) =>
    new TextDecoder().decode(soundFrames(bytes ?? new Uint8Array()).payloads.at(-1))

  it('keeps the last of those that come while one is written, and tells all when it is in', async () => {
    const { files, folder } = memoryFolder()
    const store = createJournalStore(folder)
    await Promise.all(['one', 'two', 'three'].map(text => store.leaveJournal('a', text)))
    expect(soundFrames(files.get('a.journal')!).payloads.length).toBe(1)
    expect(last(files.get('a.journal'))).toBe('three')
    await store.leaveJournal('a', 'four')
    expect(last(files.get('a.journal'))).toBe('four')
  })

  it('writes behind what a browser that died has left half written', async () => {
    const { files, folder } = memoryFolder()
    await createJournalStore(folder).leaveJournal('a', 'before')
    await createJournalStore(folder).leaveJournal('a', 'torn')
    cutShort(files, 'a.journal', 2)
    expect(last(files.get('a.journal'))).toBe('before')
    await createJournalStore(folder).leaveJournal('a', 'after')
    expect(last(files.get('a.journal'))).toBe('after')
  })

  it('does not grow without end', async () => {
    const { files, folder } = memoryFolder()
    const store = createJournalStore(folder)
    for (let i = 0; i < 5; i++) await store.leaveJournal('a', `${i}${'x'.repeat(4e5)}`)
    expect(files.get('a.journal')!.length).toBeLessThan(1e6)
    expect(last(files.get('a.journal'))[0]).toBe('4')
  })

  it('are of files whose names any id can be read from, and of no others', () => {
    for (const reviewId of ['demo-fell-race', 'a/b', '../..', 'x.3.copy', 'ü%'])
      expect(readFileName(journalFile(reviewId))).toEqual({ reviewId, kind: 'journal' })
    expect(readFileName('a.12.copy')).toEqual({ reviewId: 'a', kind: 'copy', making: 12 })
    expect(['a.copy', 'a.3.journal', 'notes.txt'].map(readFileName)).toEqual([null, null, null])
  })
})
