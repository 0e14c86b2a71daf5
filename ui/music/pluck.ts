/**
 * A tone that fades.
 * @param at when it begins, as of the context's clock, s
 * @param pitch Hz
 * @param length seconds until it is gone
 * @param loud 0 to 1
 */
export function pluck(
  context: AudioContext,
  out: AudioNode,
  at: number,
  pitch: number,
  length: number,
  loud: number,
  type: OscillatorType,
): void {
  const tone = context.createOscillator();
  const fade = context.createGain();
  tone.type = type;
  tone.frequency.value = pitch;
  fade.gain.setValueAtTime(loud, at);
  fade.gain.exponentialRampToValueAtTime(0.0005, at + length);
  tone.connect(fade).connect(out);
  tone.start(at);
  tone.stop(at + length + 0.02);
}
