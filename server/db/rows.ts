export interface MakerRow {
  id: string;
  name: string | null;
  passphrase: string | null;
  created: number;
}
export interface CourseRow {
  id: string;
  maker: string;
  revision: number;
  document: string;
  hash: string;
  proof: string | null;
  proof_hash: string | null;
  proof_time: number | null;
  /** Strokes of the proof. */
  proof_strokes: number | null;
  created: number;
  changed: number;
  deleted: number | null;
}
export interface RevisionRow {
  course: string;
  revision: number;
  document: string;
  saved: number;
}
export interface PublishedRow {
  slug: string;
  course: string;
  document: string;
  hash: string;
  published: number;
}
export interface RunRow {
  id: number;
  slug: string;
  hash: string;
  maker: string;
  player: string;
  time: number;
  /** Strokes where fewest of them win, else 0: runs are ranked by these first. */
  strokes: number;
  run: string;
  made: number;
}
export interface KitRow {
  id: string;
  maker: string;
  document: string;
  changed: number;
}
export interface RecordingRow {
  file: string;
  maker: string;
  data: Buffer;
  made: number;
}
