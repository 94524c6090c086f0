/** A recording as a browser reads it: 16-bit mono WAV of samples from -1 to 1. */
export function wavOf(samples: Float32Array, rate: number): Buffer {
  const bytes = Buffer.alloc(44 + 2 * samples.length);
  bytes.write("RIFF", 0);
  bytes.writeUInt32LE(36 + 2 * samples.length, 4);
  bytes.write("WAVEfmt ", 8);
  bytes.writeUInt32LE(16, 16);
  bytes.writeUInt16LE(1, 20);
  bytes.writeUInt16LE(1, 22);
  bytes.writeUInt32LE(rate, 24);
  bytes.writeUInt32LE(2 * rate, 28);
  bytes.writeUInt16LE(2, 32);
  bytes.writeUInt16LE(16, 34);
  bytes.write("data", 36);
  bytes.writeUInt32LE(2 * samples.length, 40);
  for (const [at, one] of samples.entries())
    bytes.writeInt16LE(Math.round(32_767 * Math.max(-1, Math.min(1, one))), 44 + 2 * at);
  return bytes;
}
