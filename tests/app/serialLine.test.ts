import { afterEach, beforeEach, expect, it } from 'vitest'
import { nameIfNeeded, serialLine } from '~/link/serialLine'
import type { SerialPortLike } from '~/link/serialPort'

/** Ports stay open from test to test, as in a page: each test has leads of a make of its own. */
let make = 0
beforeEach(() => (make += 1))

/** A lead with an instrument that says its name and a figure, at one rate only. */
function lead(name: string, figure: string, rate = 9600) {
  const opened: number[] = []
  const port: SerialPortLike & { opened: number[] } = {
    ...{ opened, readable: null, writable: null },
    getInfo: () => ({ usbVendorId: 7, usbProductId: make }),
    close: async () => {
      Object.assign(port, { readable: null, writable: null })
    },
    open: async ({ baudRate }) => {
      opened.push(baudRate)
      let answer: (bytes: Uint8Array) => void = () => undefined
      port.readable = new ReadableStream({ start: own => void (answer = bytes => own.enqueue(bytes)) })
      port.writable = new WritableStream({
        write: bytes => {
          const said = new TextDecoder().decode(bytes).trim()
          const reply = baudRate === rate && { '*IDN?': name, 'READ?': figure }[said]
          if (reply) answer(new TextEncoder().encode(`${reply}\n`))
        },
      })
    },
  }
  return port
}

function plugged(...ports: SerialPortLike[]): void {
  Object.defineProperty(navigator, 'serial', { configurable: true, value: { getPorts: async () => ports } })
}

afterEach(() => Reflect.deleteProperty(navigator, 'serial'))

const how = { baudRate: 9600, lineEnd: '\n' } as const
const asked = async (answersAs: string | null) => {
  const bytes = await serialLine({ vendorId: 7, productId: make, answersAs }, how).query('READ?', 'line')
  return String.fromCharCode(...bytes).trim()
}

it('knows a lead by its plug where there is one of its make, and asks nobody for a name', async () => {
  const only = lead('Rare,One,1,1', '1.5')
  plugged(only)
  expect(await nameIfNeeded(only, how)).toBeNull()
  expect(await asked(null)).toBe('1.5')
  expect(only.opened).toEqual([9600])
})

it('tells two leads of one make apart by what stands on them', async () => {
  const [one, other] = [lead('Rare,One,1,1', '10'), lead('Rare,One,2,1', '20')]
  plugged(one, other)
  expect(await nameIfNeeded(other, how)).toBe('Rare,One,2,1')
  expect(await asked('Rare,One,2,1')).toBe('20')
  expect(await asked('Rare,One,1,1')).toBe('10')
  // The other way round too: not whichever comes first.
  plugged(other, one)
  expect(await asked('Rare,One,2,1')).toBe('20')
})

it('reads from neither where nothing tells them apart, and says what to do', async () => {
  plugged(lead('A', '1'), lead('B', '2'))
  await expect(asked(null)).rejects.toThrow('2 leads of this make are plugged in')
  await expect(asked('C')).rejects.toThrow('none answers as “C”')
})

it('opens a port anew when another rate is chosen', async () => {
  const one = lead('A', '42', 19_200)
  plugged(one)
  const at = (baudRate: number) => serialLine({ vendorId: 7, productId: make }, { ...how, baudRate })
  await at(9600).send('*CLS')
  const bytes = await at(19_200).query('READ?', 'line')
  expect(String.fromCharCode(...bytes).trim()).toBe('42')
  expect(one.opened).toEqual([9600, 19_200])
})
