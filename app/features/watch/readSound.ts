/** A file longer or larger than this is not opened: it would fill the memory of a phone. */
const MOST_BYTES = 300_000_000;
const MOST_SECONDS = 600;

/** The sound of a file as mono samples, or why there is none. */
export type ReadSound =
  { ok: true; samples: Float32Array<ArrayBuffer>; rate: number } | { ok: false; message: string };

const refuse = (message: string): ReadSound => ({ ok: false, message });

/** Reads the sound of a recording or a clip with the browser's own decoder. */
export async function readSound(file: File): Promise<ReadSound> {
  if (file.size > MOST_BYTES)
    return refuse(
      `This file has ${Math.round(file.size / 1e6)} MB. Cut the trot out of it: half a minute is plenty.`,
    );
  const context = new OfflineAudioContext(1, 1, 48_000);
  let sound: AudioBuffer;
  try {
    sound = await context.decodeAudioData(await file.arrayBuffer());
  } catch {
    return refuse(
      "This browser cannot read a sound in this file. A WAV, or a clip recorded on this device, would do; or tap along with it.",
    );
  }
  if (sound.duration > MOST_SECONDS)
    return refuse("Longer than ten minutes. Cut the trot out of it: half a minute is plenty.");
  const samples = new Float32Array(sound.length);
  for (let channel = 0; channel < sound.numberOfChannels; channel++)
    for (const [at, one] of sound.getChannelData(channel).entries())
      samples[at] = (samples[at] ?? 0) + one / sound.numberOfChannels;
  return { ok: true, samples, rate: sound.sampleRate };
}
