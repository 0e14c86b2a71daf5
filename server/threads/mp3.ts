/** kbit/s by the number a frame says (ISO 11172-3 and 13818-3, layer III), of version 1 and of 2. */
const RATES_1 = [0, 32, 40, 48, 56, 64, 80, 96, 112, 128, 160, 192, 224, 256, 320];
const RATES_2 = [0, 8, 16, 24, 32, 40, 48, 56, 64, 80, 96, 112, 128, 144, 160];
/** Samples a second of version 1; of 2 half of them, of 2.5 a quarter. */
const SAMPLES = [44_100, 48_000, 32_000];
/** Frames in a row that are no accident. */
const ENOUGH = 3;

/** Bytes of the frame of layer III that begins at a place, or 0 when none does. */
function frameAt(data: Uint8Array, at: number): number {
  if (at + 4 > data.length || data[at] !== 0xff || (data[at + 1] & 0xe6) !== 0xe2) return 0;
  const version = (data[at + 1] >> 3) & 3;
  const rate = data[at + 2] >> 4;
  const samples = (data[at + 2] >> 2) & 3;
  if (version === 1 || rate === 0 || rate === 15 || samples === 3) return 0;
  const first = version === 3;
  const bits = (first ? RATES_1 : RATES_2)[rate] * 1000;
  const hertz = SAMPLES[samples] / (first ? 1 : version === 2 ? 2 : 4);
  return Math.floor(((first ? 144 : 72) * bits) / hertz) + ((data[at + 2] >> 1) & 1);
}

/** Whether a file holds sound as MP3: frames one after the other, after its tags. */
export function holdsFrames(data: Uint8Array): boolean {
  const tagged = data[0] === 0x49 && data[1] === 0x44 && data[2] === 0x33;
  // A tag's length is in four parts of seven bits.
  let at = tagged ? 10 + ((data[6] << 21) | (data[7] << 14) | (data[8] << 7) | data[9]) : 0;
  while (at < data.length && data[at] === 0) at++;
  for (let frames = 0; frames < ENOUGH; frames++) {
    const length = frameAt(data, at);
    if (length === 0) return false;
    at += length;
  }
  return true;
}
