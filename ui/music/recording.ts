import type { Tempo } from '@/core/course';
import { showToast } from '../parts';
import { api, ApiError } from '../state/api';

/** Most bytes a recording may have. */
export const MOST_BYTES = 15 * 1024 * 1024;

/**
 * Lets the maker choose a recording and has the server keep it.
 * @returns what the course says of it; or, in words, why it was not kept; or nothing when none was chosen
 */
export async function keepRecording(): Promise<Tempo['recording'] | string | null> {
  const file = await chooseFile();
  if (!file) return null;
  if (file.size > MOST_BYTES) {
    const size = (file.size / 1024 / 1024).toFixed(1);
    return `The recording has ${size} MB; at most 15 MB are kept. Nothing was changed.`;
  }
  if (!(await canBeHeard(file))) {
    return `“${file.name}” is no recording this page can play. WAV, MP3 and OGG can be kept.`;
  }
  try {
    const kept = await api.keepRecording(file);
    return { name: file.name.slice(0, 120), file: kept.file };
  } catch (problem) {
    if (problem instanceof ApiError) return problem.message;
    throw problem;
  }
}

function chooseFile(): Promise<File | null> {
  const input = document.createElement('input');
  input.type = 'file';
  input.accept = '.wav,.mp3,.ogg,audio/wav,audio/mpeg,audio/ogg';
  return new Promise((resolve) => {
    input.addEventListener('change', () => resolve(input.files?.[0] ?? null));
    input.addEventListener('cancel', () => resolve(null));
    input.click();
  });
}

/** Whether the page can decode a file as sound. */
async function canBeHeard(file: File): Promise<boolean> {
  if (typeof AudioContext === 'undefined') return true;
  const context = new AudioContext();
  try {
    const sound = await context.decodeAudioData(await file.arrayBuffer());
    return sound.duration > 0;
  } catch {
    return false;
  } finally {
    void context.close();
  }
}

/** Plays a kept recording. Returns how it is stopped. */
export function playRecording(file: string, from: number): () => void {
  const audio = new Audio(`/api/recordings/${file}`);
  audio.currentTime = from;
  const missing = () =>
    showToast('The recording of this course could not be played. The run goes on without it.');
  audio.addEventListener('error', missing, { once: true });
  // A page that nobody touched yet may not play; that is no fault of the recording.
  void audio.play().catch(() => {});
  return () => {
    audio.removeEventListener('error', missing);
    audio.pause();
  };
}
