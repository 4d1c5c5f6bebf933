/** A name that nothing else has: a random UUID. Made by hand, for the browser's own maker is only there on loopback and
 *  over TLS. */
export const newId = (): string => {
  const bytes = [...crypto.getRandomValues(new Uint8Array(16))];
  const hex = bytes
    .map((b, i) => (i === 6 ? (b & 0x0f) | 0x40 : i === 8 ? (b & 0x3f) | 0x80 : b).toString(16).padStart(2, '0'))
    .join('');
  return hex.replace(/^(.{8})(.{4})(.{4})(.{4})/, '$1-$2-$3-$4-');
};
