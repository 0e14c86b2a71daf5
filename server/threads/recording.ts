import { holdsFrames } from './mp3';

/** Recordings as they are kept, by how their files end. */
export type RecordingKind = 'wav' | 'mp3' | 'ogg';

/** What a file is by what is in it, whatever it calls itself; null when it is no recording. */
export async function kindOfRecording(data: Uint8Array): Promise<RecordingKind | null> {
  // Published as a module only.
  const { fileTypeFromBuffer } = await import('file-type');
  const mime = (await fileTypeFromBuffer(data).catch(() => undefined))?.mime ?? '';
  if (mime === 'audio/wav') return 'wav';
  // Two bytes are enough to be taken for an MP3.
  if (mime === 'audio/mpeg') return holdsFrames(data) ? 'mp3' : null;
  return mime.startsWith('audio/ogg') ? 'ogg' : null;
}
