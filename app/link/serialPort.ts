/** What of the browser’s serial ports is used here: TypeScript’s DOM does not know them. */
export interface SerialPortLike {
  open: (options: { baudRate: number }) => Promise<void>
  close: () => Promise<void>
  getInfo: () => { usbVendorId?: number; usbProductId?: number }
  readable: ReadableStream<Uint8Array> | null
  writable: WritableStream<Uint8Array> | null
}

interface SerialLike {
  requestPort: () => Promise<SerialPortLike>
  getPorts: () => Promise<SerialPortLike[]>
}

/** The browser’s serial ports; null where it has none. */
export function serialOf(): SerialLike | null {
  return (navigator as { serial?: SerialLike }).serial ?? null
}

/** Which port it is, as far as a port says. */
export interface PortIdentity {
  vendorId: number | null
  productId: number | null
}

/** What a port says of itself. */
export function identityOf(port: SerialPortLike): PortIdentity {
  const { usbVendorId = null, usbProductId = null } = port.getInfo()
  return { vendorId: usbVendorId, productId: usbProductId }
}
