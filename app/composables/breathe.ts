/** Lets the page answer what came meanwhile: a turn of the event loop, without the pause of a timer. */
export function breathe(): Promise<void> {
  return new Promise(resolve => {
    const { port1, port2 } = new MessageChannel()
    port1.onmessage = () => {
      port1.close()
      resolve()
    }
    port2.postMessage(null)
  })
}
