import { afterEach, describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { phrasebooks, readAnswer, speak } from '#core/link'
import {
  allowedInstruments,
  type AllowedInstrument,
  mayBeInstrument,
  resolvedAddress,
} from '../../server/link/allowList'
import { LinkError } from '../../server/link/linkError'
import { type LinkRequest, LinkService } from '../../server/link/linkService'
import { LINK_LIMITS } from '../../server/link/limits'
import { linkSchemas } from '../../server/link/schemas'
import { startLink } from '../../server/link/running'
import { isFromOwnPage } from '../../server/link/sameOrigin'
import { Tokens } from '../../server/link/tokens'
import { Turns } from '../../server/link/turns'
import { VIRTUAL_PLACES, VirtualPorts } from '../../server/link/virtualPorts'
import { meter, pad, chainOf } from '../support/bench'
import { fakeInstrument } from './fakeInstrument'

const ends: (() => Promise<void>)[] = []
afterEach(async () => {
  for (const end of ends.splice(0)) await end()
})

async function linked(onLine: Parameters<typeof fakeInstrument>[0], change: Partial<AllowedInstrument> = {}) {
  const fake = await fakeInstrument(onLine)
  const instrument: AllowedInstrument = {
    ...{ id: 'one', title: 'One', kind: 'counter', host: '127.0.0.1', port: fake.port, isVirtual: false },
    ...change,
  }
  const service = new LinkService([instrument])
  ends.push(async () => {
    await service.close()
    await fake.close()
  })
  return { fake, service }
}

const line = (text: string, change: Partial<LinkRequest> = {}): LinkRequest => ({
  ...{ instrumentId: 'one', line: text, lineEnd: '\n' as const, form: 'line' as const, timeoutMs: 300 },
  ...change,
})
const text = (bytes: Uint8Array) => Buffer.from(bytes).toString('latin1')
const faultOf = (work: Promise<unknown>) =>
  work.then(
    () => 'none',
    (error: unknown) => (error instanceof LinkError ? error.fault : String(error)),
  )

describe('where the link goes', () => {
  it('speaks to nothing that is not on the list, whatever it is called', async () => {
    const { service } = await linked(() => undefined)
    for (const instrumentId of ['two', '127.0.0.1:22', 'one ', '../one', '__proto__', ''])
      expect(await faultOf(service.say('a', line('*IDN?', { instrumentId })))).toBe('unknown-instrument')
  })

  it.each([
    ['127.0.0.1', true],
    ['10.1.2.3', true],
    ['172.16.0.1', true],
    ['172.32.0.1', false],
    ['192.168.1.9', true],
    ['169.254.1.1', true],
    // Where machines in data centres keep their keys (common practice, no source).
    ['169.254.169.254', false],
    ['::ffff:169.254.169.254', false],
    ['::ffff:10.0.0.1', true],
    ['::1', true],
    ['fe80::1', true],
    ['fd12::1', true],
    ['2001:db8::1', false],
    ['8.8.8.8', false],
    ['0.0.0.0', false],
    ['255.255.255.255', false],
    ['224.0.0.1', false],
    ['2130706433', false],
    ['0x7f000001', false],
    ['127.1', false],
    ['localhost', false],
  ])('takes %s for an address of a bench: %s', (address, may) => {
    expect(mayBeInstrument(address)).toBe(may)
  })

  it('refuses a name that leads elsewhere, and never asks it a second time', async () => {
    expect(await faultOf(resolvedAddress('scope.test', async () => '93.184.216.34'))).toBe('not-allowed')
    expect(await faultOf(resolvedAddress('gone.test', async () => Promise.reject(new Error('no'))))).toBe(
      'unreachable',
    )
    let asked = 0
    const fake = await fakeInstrument((_line, socket) => socket.write('1\n'))
    const service = new LinkService(
      [{ id: 'one', title: 'One', kind: 'counter', host: 'moving.test', port: fake.port, isVirtual: false }],
      async () => (++asked === 1 ? '127.0.0.1' : '8.8.8.8'),
    )
    ends.push(async () => {
      await service.close()
      await fake.close()
    })
    for (let i = 0; i < 3; i++) expect(text(await service.say('a', line('X?')))).toBe('1\n')
    expect(asked).toBe(1)
  })

  it('sends lines that go before in their order, and nothing at all where one of them is no line', async () => {
    const heard: string[] = []
    const { service } = await linked((said, socket) => {
      heard.push(said)
      if (said.endsWith('?')) socket.write('7\n')
    })
    expect(text(await service.say('a', line('C?', { before: ['A', 'B 1'] })))).toBe('7\n')
    expect(heard).toEqual(['A', 'B 1', 'C?'])
    for (const bad of ['', 'A\nB', 'x'.repeat(LINK_LIMITS.lineCharacters + 1)])
      expect(await faultOf(service.say('a', line('C?', { before: ['A', bad] })))).toBe('bad-request')
    expect(heard).toHaveLength(3)
    const most = {
      instrumentId: 'one',
      line: 'C?',
      form: 'line',
      before: Array(LINK_LIMITS.linesAtOnce).fill('A'),
    }
    expect(linkSchemas.query.validate(most).error).toBeUndefined()
    expect(linkSchemas.query.validate({ ...most, before: [...most.before, 'A'] }).error).toBeDefined()
  })

  it('reads who is allowed from one line, and says which entry it cannot read', () => {
    expect(
      allowedInstruments('My scope|spectrum-analyser|10.0.0.5:5025, M|power-meter|[fe80::1]:7'),
    ).toMatchObject([
      { title: 'My scope', kind: 'spectrum-analyser', host: '10.0.0.5', port: 5025 },
      { host: 'fe80::1', port: 7 },
    ])
    for (const bad of [
      'x',
      'a|b|c:1',
      'a|counter|h',
      'a|counter|h:0',
      'a|counter|h:70000',
      'a|counter|http://h:1',
      '|counter|h:1',
    ])
      expect(() => allowedInstruments(bad)).toThrow(LinkError)
    expect(allowedInstruments('')).toEqual([])
  })
})

describe('the settings of who runs the server', () => {
  it('an entry that cannot be read costs only itself, and is told of', async () => {
    const link = await startLink({
      RIGOROUS_METER_INSTRUMENTS:
        'Nonsense, Mine|counter|10.0.0.1:5025, Scope|spectrum-analyser|10.0.0.2:5025',
      RIGOROUS_METER_HOSTS: 'Bench.lan, ',
      RIGOROUS_METER_BENCH: 'off',
    })
    ends.push(() => link.service.close())
    expect(link.service.list().map(({ title, port }) => [title, port])).toEqual([
      ['Mine', null],
      ['Scope', null],
    ])
    expect(link.complaint).toContain('“Nonsense” is no instrument')
    expect([...link.hosts]).toEqual(['bench.lan'])
    expect(link.virtual).toBeNull()
  })

  it('a port that is taken costs the virtual bench, not the server', async () => {
    const fake = await fakeInstrument(() => undefined)
    const link = await startLink({ RIGOROUS_METER_BENCH: String(fake.port) })
    ends.push(async () => {
      await link.service.close()
      await fake.close()
    })
    expect(link.virtual).toBeNull()
    expect(link.service.list()).toEqual([])
    expect(link.complaint).toContain('is taken')
  })

  it('without any there is the virtual bench, and nothing else', async () => {
    const link = await startLink({})
    ends.push(async () => {
      await link.service.close()
      await link.virtual?.close()
    })
    expect(link.service.list().every(({ isVirtual }) => isVirtual)).toBe(true)
    expect(link.service.list()).toHaveLength(VIRTUAL_PLACES.length)
    expect(link.complaint).toBeNull()
  })
})

describe('what is sent', () => {
  it('is one line: nothing that could begin another gets through', async () => {
    const seen: string[] = []
    const { service } = await linked((got, socket) => {
      seen.push(got)
      socket.write('1\n')
    })
    for (const bad of [
      '',
      'A\nB',
      'A\rB',
      'A\0',
      'é',
      'A\u2028B',
      'x'.repeat(LINK_LIMITS.lineCharacters + 1),
    ])
      expect(await faultOf(service.say('a', line(bad)))).toBe('bad-request')
    expect(seen).toEqual([])
    await service.say('a', line('x'.repeat(LINK_LIMITS.lineCharacters)))
    expect(seen).toHaveLength(1)
  })

  it('ends as the phrasebook says', async () => {
    const seen: string[] = []
    const { service } = await linked((got, socket) => {
      seen.push(got)
      socket.write('1\n')
    })
    await service.say('a', line('A?'))
    await service.say('a', line('B?', { lineEnd: '\r\n' }))
    expect(seen).toEqual(['A?', 'B?\r'])
  })
})

describe('instruments that behave badly', () => {
  it('one that never answers is told of, and the next question is not answered by a late answer', async () => {
    let asked = 0
    const { service } = await linked((_got, socket) => {
      asked += 1
      const mine = asked
      setTimeout(() => socket.write(`${mine}\n`), mine === 1 ? 450 : 0)
    })
    expect(await faultOf(service.say('a', line('SLOW?')))).toBe('silent')
    await new Promise(resolve => setTimeout(resolve, 250))
    expect(text(await service.say('a', line('NEXT?')))).toBe('2\n')
  })

  it('half a line is no answer', async () => {
    const { service } = await linked((_got, socket) => socket.write('1.23'))
    const fault = service.say('a', line('X?'))
    await expect(fault).rejects.toThrow(/stopped after 4 bytes/)
  })

  it('an answer in pieces is put together', async () => {
    const { service } = await linked((_got, socket) => {
      for (const [i, piece] of ['1.', '5', 'E1\n'].entries()) setTimeout(() => socket.write(piece), 20 * i)
    })
    expect(text(await service.say('a', line('X?')))).toBe('1.5E1\n')
  })

  it('an endless answer is cut off at a stated size', async () => {
    const { service } = await linked((_got, socket) => {
      const piece = Buffer.alloc(256_000, 65)
      const more = () => {
        if (!socket.destroyed) socket.write(piece, () => more())
      }
      more()
    })
    expect(await faultOf(service.say('a', line('X?', { timeoutMs: 20_000 })))).toBe('too-long')
  })

  it('one that hangs up in the middle is told of, and is spoken to again', async () => {
    let count = 0
    const { service } = await linked((_got, socket) => {
      if (++count === 1) socket.destroy()
      else socket.write('2\n')
    })
    expect(await faultOf(service.say('a', line('X?')))).toBe('closed')
    expect(text(await service.say('a', line('X?')))).toBe('2\n')
  })

  it('one that is not there is told of', async () => {
    const { service, fake } = await linked(() => undefined)
    await fake.close()
    expect(await faultOf(service.say('a', line('X?')))).toBe('unreachable')
  })

  it('binary rubbish never breaks it, and is never a number', async () => {
    let answer = Buffer.alloc(0)
    const { service } = await linked((_got, socket) =>
      socket.write(Buffer.concat([answer, Buffer.from('\n')])),
    )
    await fc.assert(
      fc.asyncProperty(fc.uint8Array({ minLength: 1, maxLength: 60 }), async bytes => {
        answer = Buffer.from(bytes.map(byte => byte | 0x80))
        const heard = readAnswer(await service.say('a', line('X?', { timeoutMs: 2000 })), 'number')
        expect(heard.is).toBe('unreadable')
      }),
      { numRuns: 60 },
    )
  })

  it('a block holds line ends and comes whole; words in its place come as they are', async () => {
    const block = Buffer.concat([
      Buffer.from('#18'),
      Buffer.from([10, 1, 10, 2, 10, 3, 10, 4]),
      Buffer.from('\n'),
    ])
    const { service } = await linked((got, socket) => {
      if (got === 'ERR?') return void socket.write('nothing\n')
      socket.write(block.subarray(0, 5))
      setTimeout(() => socket.write(block.subarray(5)), 30)
    })
    const bytes = await service.say('a', line('T?', { form: 'block' }))
    expect(readAnswer(bytes, 'block')).toMatchObject({ is: 'block', bytes: { length: 8 } })
    expect(text(await service.say('a', line('ERR?', { form: 'block' })))).toBe('nothing\n')
  })
})

describe('several pages', () => {
  it('do not open more connections than are stated', async () => {
    const fake = await fakeInstrument((_got, socket) => socket.write('1\n'))
    const many = Array.from({ length: LINK_LIMITS.connections + 1 }, (_unused, i): AllowedInstrument => ({
      ...{ id: `i${i}`, title: 'X', kind: 'counter', host: '127.0.0.1', port: fake.port, isVirtual: false },
    }))
    const service = new LinkService(many)
    ends.push(async () => {
      await service.close()
      await fake.close()
    })
    for (const { id } of many.slice(0, -1)) await service.say('a', line('X?', { instrumentId: id }))
    expect(fake.connections()).toBe(LINK_LIMITS.connections)
    expect(await faultOf(service.say('a', line('X?', { instrumentId: many.at(-1)!.id })))).toBe('busy')
    expect(fake.connections()).toBe(LINK_LIMITS.connections)
  })

  it('have one connection, and no answer goes to the other', async () => {
    const { service, fake } = await linked((got, socket) => setTimeout(() => socket.write(`${got}\n`), 5))
    const asked = Array.from({ length: 20 }, (_unused, i) => `Q${i}?`)
    const answers = await Promise.all(asked.map(one => service.say('a', line(one)).then(text)))
    expect(answers).toEqual(asked.map(one => `${one}\n`))
    expect(fake.connections()).toBe(1)
  })

  it('take turns: a page that is silent loses its turn, one that aborts gives it back at once', async () => {
    const turns = new Turns({ leaseMs: 60, turnMs: 1000, waitMs: 500, waiting: 2 })
    const order: string[] = []
    const work = (name: string) => turns.during(name, async () => void order.push(name))
    await work('a')
    const began = Date.now()
    await work('b')
    expect(Date.now() - began).toBeGreaterThanOrEqual(55)
    const third = work('c')
    turns.release('b')
    await third
    expect(order).toEqual(['a', 'b', 'c'])
  })

  it('one that never falls silent still has to give way, and those who wait come in order', async () => {
    const turns = new Turns({ leaseMs: 1000, turnMs: 80, waitMs: 2000, waiting: 5 })
    const order: string[] = []
    let isOver = false
    const busy = (async () => {
      while (!isOver) await turns.during('a', () => new Promise(resolve => setTimeout(resolve, 10)))
    })()
    await new Promise(resolve => setTimeout(resolve, 20))
    const first = turns.during('b', async () => void order.push('b'))
    const second = turns.during('c', async () => void order.push('c'))
    await first
    turns.release('b')
    await second
    isOver = true
    turns.release('c')
    await busy
    expect(order).toEqual(['b', 'c'])
  })

  it('are told where too many wait, or for too long', async () => {
    const turns = new Turns({ leaseMs: 5000, turnMs: 5000, waitMs: 50, waiting: 1 })
    await turns.during('a', async () => undefined)
    const waits = faultOf(turns.during('b', async () => undefined))
    expect(await faultOf(turns.during('c', async () => undefined))).toBe('busy')
    expect(await waits).toBe('busy')
  })
})

describe('who may ask', () => {
  const from = (headers: Record<string, string>) => isFromOwnPage(name => headers[name])

  it.each([
    [{ host: 'localhost:3000', 'sec-fetch-site': 'same-origin' }, true],
    [{ host: '127.0.0.1:3000', origin: 'http://127.0.0.1:3000' }, true],
    [{ host: '[::1]:3000', origin: 'http://[::1]:3000' }, true],
    [{ host: 'localhost:3000', 'sec-fetch-site': 'cross-site', origin: 'http://localhost:3000' }, false],
    [{ host: 'localhost:3000', 'sec-fetch-site': 'same-site' }, false],
    [{ host: 'localhost:3000', 'sec-fetch-site': 'none' }, false],
    [{ host: 'localhost:3000', origin: 'http://evil.test' }, false],
    [{ host: 'localhost:3000', origin: 'http://localhost:4000' }, false],
    [{ host: 'localhost:3000' }, false],
    // A name that was turned to this machine after the page was loaded.
    [{ host: 'evil.test:3000', 'sec-fetch-site': 'same-origin', origin: 'http://evil.test:3000' }, false],
    [{ host: 'localhost.evil.test', 'sec-fetch-site': 'same-origin' }, false],
    [{}, false],
  ] as [Record<string, string>, boolean][])('%o: %s', (headers, may) => {
    expect(from(headers)).toBe(may)
  })

  it('takes a name whoever runs the server gives it', () => {
    const headers: Record<string, string> = { host: 'bench.lan', 'sec-fetch-site': 'same-origin' }
    expect(isFromOwnPage(name => headers[name], new Set(['bench.lan']))).toBe(true)
  })

  it('tokens are long, each once, and forgotten after a while or when there are too many', () => {
    let now = 0
    const tokens = new Tokens({ tokens: 2, tokenMs: 100 }, () => now)
    const [a, b] = [tokens.issue(), tokens.issue()]
    expect(a).not.toBe(b)
    expect(a.length).toBeGreaterThanOrEqual(32)
    expect(tokens.isKnown(a)).toBe(true)
    tokens.issue()
    expect([tokens.isKnown(a), tokens.isKnown(b)]).toEqual([true, false])
    now = 101
    expect(tokens.isKnown(a)).toBe(false)
    expect(tokens.isKnown('')).toBe(false)
  })
})

describe('the virtual bench on its ports', () => {
  it('answers over TCP what it answers in the page, and only on the loopback', async () => {
    const ports = new VirtualPorts()
    const list = await ports.open()
    const service = new LinkService(list)
    ends.push(async () => {
      await service.close()
      await ports.close()
    })
    expect(list.map(({ id }) => id)).toEqual(VIRTUAL_PLACES.map(({ id }) => id))
    expect(list.every(({ host }) => host === '127.0.0.1')).toBe(true)
    const instrument = meter({ accuracyPercent: 0 })
    ports.set({
      seed: 3,
      radioId: 'a',
      setting: {
        plugs: { instrument: { chain: chainOf([pad(20)]), instrument } },
        radio: { is: 'keyed', keyed: { carrierHz: 146.52e6, claimedW: 5, forS: 0 } },
      },
    })
    const ask = (text: string, form: 'none' | 'line') =>
      service.say('page', line(text, { instrumentId: 'virtual-power-meter', form }))
    const heard = await speak(
      {
        send: async text => void (await ask(text, 'none')),
        query: text => ask(text, 'line'),
        wait: async () => undefined,
      },
      { book: phrasebooks[0]!, name: 'read-power', values: { frequencyHz: 146.52e6 } },
    )
    expect(heard).toMatchObject({ is: 'heard', heard: { unit: 'dBm' } })
    const { virtualBench } = await import('#core/virtual')
    const truth = virtualBench(3).radio('a').carrierDbm({ carrierHz: 146.52e6, claimedW: 5 })
    const shown = heard.is === 'heard' ? heard.heard.values[0]! : Number.NaN
    // 20 dB of pad; the radio’s own 1.5 : 1 into matched parts takes nothing.
    expect(Math.abs(shown - (truth - 20))).toBeLessThan(0.05)
  })
})
