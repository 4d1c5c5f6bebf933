/** As much of Web Serial as is used here; browsers that have it are not all there are. */
interface Port {
  open: (how: { baudRate: number }) => Promise<void>;
  close: () => Promise<void>;
  readable: ReadableStream<Uint8Array<ArrayBuffer>> | null;
}
interface Serial {
  requestPort: () => Promise<Port>;
}

const serial = () => (navigator as Navigator & { serial?: Serial }).serial;

/** Whether this browser can read a serial port. */
export const hasSerial = () => serial() !== undefined;

/** How often lines that came are passed on, ms. */
const PASS_EVERY = 100;

/** Reads lines from a port the person chooses, and passes them on to the server as they are: it reads them as it does
 *  those of any other instrument. Ends when the signal does, or the port. */
export async function passSerial(token: string, baudRate: number, signal: AbortSignal): Promise<string> {
  let port: Port | undefined;
  try {
    port = await serial()?.requestPort();
    if (!port) return 'This browser cannot read a serial port.';
    await port.open({ baudRate });
    if (!port.readable) return 'The port gives nothing to read.';
    await pass(port.readable, token, signal);
    return signal.aborted ? '' : 'The port has closed.';
  } catch (e) {
    if (signal.aborted) return '';
    return e instanceof DOMException && e.name === 'NotFoundError'
      ? 'No port was chosen.'
      : 'The port could not be read: it may be open elsewhere.';
  } finally {
    await port?.close().catch(() => undefined);
  }
}

async function pass(from: ReadableStream<Uint8Array<ArrayBuffer>>, token: string, signal: AbortSignal) {
  const reader = from.pipeThrough(new TextDecoderStream()).getReader();
  signal.addEventListener('abort', () => void reader.cancel().catch(() => undefined));
  let text = '';
  let sent = 0;
  for (;;) {
    const { done, value } = await reader.read();
    text += value ?? '';
    const end = text.lastIndexOf('\n');
    if (end >= 0 && (done || Date.now() - sent > PASS_EVERY)) {
      sent = Date.now();
      await send(token, text.slice(0, end));
      text = text.slice(end + 1);
    }
    if (done) break;
  }
  if (text.trim()) await send(token, text);
}

const send = (token: string, lines: string) =>
  fetch(`/api/instruments/${token}/readings`, {
    method: 'POST',
    headers: { 'Content-Type': 'text/plain' },
    body: lines
  }).catch(() => undefined);
