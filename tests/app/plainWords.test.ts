import { describe, expect, it, vi } from 'vitest'
import { CoreError } from '#core/errors'
import { plainWords } from '~/errors/plainWords'

describe('what a person is told of an error', () => {
  it('is what we say of it, and never what the engine says', () => {
    const log = vi.spyOn(console, 'error').mockImplementation(() => {})
    expect(plainWords(new CoreError('empty', 'Nothing typed yet.', { name: 'x' }))).toBe('Nothing typed yet.')
    expect(plainWords('Tick it first.')).toBe('Tick it first.')
    const engines = [
      new TypeError("Cannot read properties of undefined (reading 'sets')"),
      new RangeError('Invalid array length'),
      new DOMException("Failed to execute 'put' on 'IDBObjectStore'", 'DataCloneError'),
      { not: 'an error' },
    ]
    for (const error of engines) {
      expect(plainWords(error)).toMatch(
        /^Something in the program or the browser failed.*What was kept is as it was/,
      )
      expect(plainWords(error)).not.toMatch(/undefined|Invalid|Failed to execute|object Object/)
    }
    expect(plainWords(engines[2])).toContain('DataCloneError')
    expect(log).toHaveBeenCalled()
  })

  it('says that a file went away while it was read', () => {
    vi.spyOn(console, 'error').mockImplementation(() => {})
    const gone = new DOMException('The requested file could not be read', 'NotReadableError')
    expect(plainWords(gone)).toContain('The file changed or went away')
  })
})
