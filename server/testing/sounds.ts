/** A second of silence as a WAV file; with another length another file. */
export function silence(samples = 8000): Buffer {
  const file = Buffer.alloc(44 + samples);
  file.write('RIFF', 0);
  file.writeUInt32LE(36 + samples, 4);
  file.write('WAVEfmt ', 8);
  file.writeUInt32LE(16, 16);
  file.writeUInt16LE(1, 20);
  file.writeUInt16LE(1, 22);
  file.writeUInt32LE(8000, 24);
  file.writeUInt32LE(8000, 28);
  file.writeUInt16LE(1, 32);
  file.writeUInt16LE(8, 34);
  file.write('data', 36);
  file.writeUInt32LE(samples, 40);
  return file;
}
