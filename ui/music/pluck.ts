/** A tone that fades. */
interface Tone {
  /** When it begins, as of the context's clock, s. */
  readonly at: number;
  /** Hz. */
  readonly pitch: number;
  /** Seconds until it is gone. */
  readonly length: number;
  /** 0 to 1. */
  readonly loud: number;
  readonly type: OscillatorType;
}

export function pluck(
  context: AudioContext,
  out: AudioNode,
  { at, pitch, length, loud, type }: Tone,
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
