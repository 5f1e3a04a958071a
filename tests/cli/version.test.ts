import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import lock from '../../package-lock.json'
import { version } from '../../package.json'

/** Publications, reports and backups say by which version they were made. */
describe('what the program calls itself', () => {
  it('is what the changelog has at its head', () => {
    const changes = readFileSync(new URL('../../CHANGELOG.md', import.meta.url), 'utf8')
    expect(changes.match(/^## (\S+)/m)?.[1]).toBe(version)
  })

  it('is the same where its packages are locked', () => {
    expect([lock.version, lock.packages[''].version]).toEqual([version, version])
  })
})
