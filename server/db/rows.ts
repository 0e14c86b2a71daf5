export interface MakerRow {
  id: string;
  name: string | null;
  name_key: string | null;
  /** The name as it looks; see names. */
  look_small: string | null;
  look_as_is: string | null;
  /** The name they had, as names are compared, before another had it as well. */
  former_key: string | null;
  passphrase: string | null;
  created: number;
}

/** A device that somebody signed in on. */
export interface DeviceRow {
  /** Of its cookie, which is kept nowhere. */
  digest: string;
  maker: string;
  used: number;
}

/** That a maker takes no notes from somebody. */
export interface BlockRow {
  maker: string;
  blocked: string;
  made: number;
}

export interface SessionRow {
  /** Of the cookie, which is kept nowhere. */
  digest: string;
  maker: string;
  /** When it was last used, to the day. */
  created: number;
  device: string;
  begun: number | null;
}

/** What is kept of a course beside its document, so that lists read none. */
export interface SummaryColumns {
  name: string;
  kind: string;
  runner: string;
  pieces: number;
  bytes: number;
  /** Metres. */
  length: number;
  /** Hash over what a run feels. */
  hash: string;
  /** Digest of what others would see. */
  shown: string;
}

export interface CourseRow extends SummaryColumns {
  id: string;
  maker: string;
  revision: number;
  proof_hash: string | null;
  proof_time: number | null;
  /** Strokes of the proof. */
  proof_strokes: number | null;
  created: number;
  changed: number;
  deleted: number | null;
  /** Where its maker keeps it; tags as JSON. */
  folder: string | null;
  tags: string;
  /** Bytes of its earlier versions, packed. */
  versions_bytes: number;
}

/** What is long of a course, apart from what is looked through: what stands behind it would be read with it. */
export interface BodyRow {
  course: string;
  document: string;
  /** SVG, or null until it is asked for. */
  picture: string | null;
  /** The run that proves it. */
  proof: string | null;
}

export interface VersionRow {
  course: string;
  revision: number;
  /** Packed; see intake. */
  document: Buffer;
  pieces: number;
  /** What its maker calls it; such a version never goes. */
  label: string | null;
  saved: number;
}

export interface PublishedRow {
  slug: string;
  course: string;
  document: string;
  hash: string;
  shown: string;
  picture: string | null;
  /** Metres. */
  length: number;
  published: number;
}

/** The picture a link to a published course is shown with. */
export interface PreviewRow {
  slug: string;
  /** Digest of what it was drawn of. */
  shown: string;
  png: Buffer;
}

/** What a published course is found by; see the migration. */
export interface ListingRow {
  id: number;
  slug: string;
  course: string;
  maker_id: string;
  name: string;
  description: string;
  maker: string;
  kind: string;
  runner: string;
  length: number;
  time: number;
  strokes: number | null;
  hash: string;
  edition: number;
  tries: number;
  finishes: number;
  likes: number;
  closeness: number | null;
  published: number;
  taken: number | null;
  held: number | null;
  /** From 1 to 10, and the hash of what it was read of. */
  difficulty: number | null;
  read_hash: string | null;
}

/** That somebody likes a published course. */
export interface LikeRow {
  slug: string;
  maker: string;
  made: number;
}

export interface RunRow {
  id: number;
  slug: string;
  hash: string;
  maker: string;
  player: string;
  player_key: string;
  time: number;
  /** Strokes where fewest of them win, else 0: runs are ranked by these first. */
  strokes: number;
  run: string;
  /** Digest of what the player did. */
  inputs: string;
  /** Digest of the way that came of it, tick by tick; null of runs kept before it was told. */
  way: string | null;
  /** 1 where others may see it run, else 0. */
  open: number;
  /** The attempt it was made in; null for the demo's. */
  attempt: string | null;
  made: number;
  /** 1 where it was run by an earlier simulation and no longer holds, else 0. */
  stale: number;
}

/** What somebody finds wrong with a published course. */
export interface ReportRow {
  id: number;
  slug: string;
  maker: string;
  words: string;
  made: number;
  settled: number | null;
}

export interface AttemptRow {
  id: string;
  slug: string;
  maker: string;
  hash: string;
  seed: number;
  given: number;
  /** 1 once it was begun to be run, and told where it ended, else 0. */
  begun: number;
  told: number;
  /** Of the run sent in for it: a digest of what the player did, and what it is worth. */
  inputs: string | null;
  time: number | null;
  strokes: number | null;
}

export interface KitRow {
  id: string;
  maker: string;
  document: string;
  name: string;
  pieces: number;
  bytes: number;
  picture: string | null;
  changed: number;
  deleted: number | null;
}

export interface RecordingRow {
  file: string;
  data: Buffer;
  made: number;
}

/** That a maker keeps a recording. */
export interface KeepRow {
  file: string;
  maker: string;
  bytes: number;
  made: number;
  deleted: number | null;
}

/** Published courses in an order. */
export interface SeriesRow {
  id: string;
  maker: string;
  name: string;
  words: string;
  /** Whether it is run in one sitting. */
  sitting: number;
  changed: number;
  deleted: number | null;
}

export interface SeriesCourseRow {
  series: string;
  place: number;
  slug: string;
}

export interface FollowRow {
  maker: string;
  follower: string;
  made: number;
}

/** A word to the maker of a published course. */
export interface NoteRow {
  id: number;
  slug: string;
  maker: string;
  words: string;
  made: number;
  reported: number | null;
}

/** An edition of a published course, with its document once another has taken its place. */
export interface EditionRow {
  slug: string;
  edition: number;
  hash: string;
  length: number;
  published: number;
  changes: string | null;
  document: Buffer | null;
  /** The digest of its document. */
  look: string | null;
}
