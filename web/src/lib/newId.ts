/** A name that nothing else has. Made by hand: the browser's own maker is only there on loopback and
 *  over TLS. */
export const newId = (): string =>
  [...crypto.getRandomValues(new Uint8Array(16))].map((b) => b.toString(16).padStart(2, '0')).join('');
