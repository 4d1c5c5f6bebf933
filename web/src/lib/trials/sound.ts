/** Mono samples as a WAV file of 16 bits. */
export function wavOf(samples: Float32Array, rate: number): Blob {
  const bytes = new DataView(new ArrayBuffer(44 + samples.length * 2));
  const word = (at: number, text: string) => {
    for (let i = 0; i < text.length; i++) bytes.setUint8(at + i, text.charCodeAt(i));
  };
  word(0, 'RIFF');
  bytes.setUint32(4, 36 + samples.length * 2, true);
  word(8, 'WAVEfmt ');
  bytes.setUint32(16, 16, true);
  bytes.setUint16(20, 1, true);
  bytes.setUint16(22, 1, true);
  bytes.setUint32(24, rate, true);
  bytes.setUint32(28, rate * 2, true);
  bytes.setUint16(32, 2, true);
  bytes.setUint16(34, 16, true);
  word(36, 'data');
  bytes.setUint32(40, samples.length * 2, true);
  for (let i = 0; i < samples.length; i++) {
    const v = Math.max(-1, Math.min(1, samples[i] ?? 0));
    bytes.setInt16(44 + i * 2, Math.round(v * 32767), true);
  }
  return new Blob([bytes], { type: 'audio/wav' });
}

/** How long is listened, s. */
export const LISTEN_FOR = 4;

/** Records the microphone for some seconds as a WAV file. What browsers do to voices would take the machine out of the
 *  sound, so it is asked not to be done. */
export async function record(seconds: number, signal: AbortSignal): Promise<Blob> {
  const stream = await navigator.mediaDevices.getUserMedia({
    audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false, channelCount: 1 }
  });
  try {
    const chunks: Blob[] = [];
    const recorder = new MediaRecorder(stream);
    recorder.ondataavailable = (e) => chunks.push(e.data);
    const ended = new Promise<void>((resolve) => (recorder.onstop = () => resolve()));
    const end = () => recorder.state !== 'inactive' && recorder.stop();
    signal.addEventListener('abort', end);
    recorder.start();
    setTimeout(end, seconds * 1000);
    await ended;
    return await decoded(new Blob(chunks, { type: recorder.mimeType }));
  } finally {
    for (const track of stream.getTracks()) track.stop();
  }
}

/** Any sound a browser can play, as a mono WAV file. */
export async function decoded(file: Blob): Promise<Blob> {
  const context = new AudioContext();
  try {
    const sound = await context.decodeAudioData(await file.arrayBuffer());
    const mono = new Float32Array(sound.length);
    for (let c = 0; c < sound.numberOfChannels; c++) {
      const channel = sound.getChannelData(c);
      for (let i = 0; i < mono.length; i++) mono[i] = (mono[i] ?? 0) + (channel[i] ?? 0) / sound.numberOfChannels;
    }
    return wavOf(mono, sound.sampleRate);
  } finally {
    await context.close();
  }
}
