import * as v from 'valibot';
import { KitSchema } from '../edit';
import { COURSE_KINDS, CourseSchema, RUNNERS } from '../course';
import { RunSchema } from '../run';

/** What travels between page and server; the page uses the same schemas. */

/** What a maker or player is called. */
export const PlayerName = v.pipe(
  v.string(),
  v.transform((name) => name.normalize('NFC').replace(/\s+/g, ' ')),
  v.trim(),
  v.minLength(2, 'A name has at least two letters.'),
  v.maxLength(30, 'A name has at most 30 letters.'),
  // Letters of all scripts, with the marks that belong to them.
  v.regex(
    /^[\p{L}\p{N}][\p{L}\p{M}\p{N} .'’-]*$/u,
    'A name has letters, digits, spaces, dots and dashes only, and begins with a letter or digit.',
  ),
);
/** What a name is kept with. */
export const Passphrase = v.pipe(
  v.string(),
  v.minLength(10, 'A passphrase has at least ten characters.'),
  v.maxLength(200, 'A passphrase has at most 200 characters.'),
);

/** Takes a name, or changes name and passphrase, for which the one of now is asked for. */
export const ClaimBody = v.object({
  name: PlayerName,
  passphrase: Passphrase,
  old: v.optional(v.pipe(v.string(), v.maxLength(200))),
});
export const SignInBody = v.object({ name: PlayerName, passphrase: Passphrase });

export const MakerAnswer = v.object({
  /** Whether there is an account at all. */
  known: v.boolean(),
  name: v.nullable(v.string()),
});

export const DEVICE_KINDS = ['phone', 'tablet', 'computer'] as const;
export type DeviceKind = (typeof DEVICE_KINDS)[number];

const QueueSchema = v.object({ working: v.number(), waiting: v.number() });

/** The state of the server, for a monitor. */
export const HealthAnswer = v.object({
  version: v.string(),
  /** True while the database and the disk take changes. */
  writable: v.boolean(),
  freeMegabytes: v.number(),
  /** Tasks of each kind that run, and that wait. */
  queues: v.object({
    intake: QueueSchema,
    pictures: QueueSchema,
    replays: QueueSchema,
    passphrases: QueueSchema,
  }),
});

/** A device that is signed in. */
const DeviceSchema = v.object({
  id: v.string(),
  kind: v.picklist(DEVICE_KINDS),
  /** Since when, and when it was last used, to the day, ms. */
  begun: v.nullable(v.number()),
  used: v.number(),
  /** Whether it is the one that asks. */
  here: v.boolean(),
});
export type Device = v.InferOutput<typeof DeviceSchema>;
export const DevicesAnswer = v.object({ devices: v.array(DeviceSchema) });

/** Deletes a maker: the passphrase, where there is one. */
export const LeaveBody = v.object({
  passphrase: v.optional(v.pipe(v.string(), v.maxLength(200))),
});

export const ProofState = v.nullable(
  v.object({
    time: v.number(),
    strokes: v.optional(v.number(), 0),
    fresh: v.boolean(),
    run: RunSchema,
  }),
);

/** The link's name, whether what is published is the course as it is now, and whether it is up. */
const PublishedState = v.object({ slug: v.string(), current: v.boolean(), shown: v.boolean() });

export const CourseAnswer = v.object({
  id: v.string(),
  revision: v.number(),
  course: CourseSchema,
  changed: v.number(),
  proof: ProofState,
  published: v.nullable(PublishedState),
});

/** A course as lists tell of it. */
export const CourseSummary = v.object({
  id: v.string(),
  revision: v.number(),
  name: v.string(),
  kind: v.picklist(COURSE_KINDS),
  runner: v.picklist(RUNNERS),
  pieces: v.number(),
  /** Metres. */
  length: v.number(),
  changed: v.number(),
  proof: v.nullable(
    v.object({ time: v.number(), strokes: v.optional(v.number(), 0), fresh: v.boolean() }),
  ),
  published: v.nullable(PublishedState),
  /** Where its maker keeps it. */
  folder: v.nullable(v.string()),
  tags: v.array(v.string()),
});
export const CourseListAnswer = v.object({ courses: v.array(CourseSummary) });
export const SavedAnswer = v.object({ revision: v.number(), changed: v.number() });
/** What an earlier version is called; nothing where it has no name. */
const Label = v.pipe(v.string(), v.trim(), v.maxLength(60, 'has more than 60 letters'));
export const VersionsAnswer = v.object({
  versions: v.array(
    v.object({
      revision: v.number(),
      saved: v.number(),
      pieces: v.number(),
      label: v.nullable(v.string()),
    }),
  ),
});
export const VersionBody = v.object({ label: v.nullable(Label) });
export const VersionAnswer = v.object({ course: CourseSchema });
export const RunBody = v.object({ run: RunSchema });
export const ProofAnswer = v.object({ time: v.number(), best: v.boolean() });
export const PublishAnswer = v.object({ slug: v.string() });
export const DoneAnswer = v.object({ done: v.boolean() });

/** An assembly as the tray tells of it. */
export const KitSummary = v.object({
  id: v.string(),
  name: v.string(),
  pieces: v.number(),
  changed: v.number(),
});
export const KitsAnswer = v.object({ kits: v.array(KitSummary) });
export const KitAnswer = v.object({ id: v.string(), kit: KitSchema });

/** What was deleted, and when; it stays for so many days. */
export const BIN_DAYS = 30;
const binned = { deleted: v.number() };
export const BinAnswer = v.object({
  courses: v.array(v.object({ id: v.string(), name: v.string(), pieces: v.number(), ...binned })),
  kits: v.array(v.object({ id: v.string(), name: v.string(), pieces: v.number(), ...binned })),
  recordings: v.array(v.object({ file: v.string(), bytes: v.number(), ...binned })),
  series: v.array(v.object({ id: v.string(), name: v.string(), courses: v.number(), ...binned })),
});

export const BestTime = v.object({
  place: v.number(),
  player: v.string(),
  /** True for a player without an account: anybody may use that name. */
  guest: v.optional(v.boolean()),
  time: v.number(),
  /** Where the fewest win. */
  strokes: v.optional(v.number()),
  own: v.boolean(),
  /** What it is asked for by, to be seen run; left out where its player said no. */
  run: v.optional(v.string()),
});

/** How the best times of players spread: so many from one time on, each part as wide as the others. */
const Spread = v.object({ from: v.number(), to: v.number(), counts: v.array(v.number()) });
export type TimesSpread = v.InferOutput<typeof Spread>;

/** The run of the maker of a course, among those of its players. */
export const MAKERS_RUN = 'maker';

/** What became of a course from one edition to the next: pieces by what happened to them. */
const EditionChanges = v.object({
  added: v.number(),
  removed: v.number(),
  moved: v.number(),
  changed: v.number(),
});
export type EditionChange = v.InferOutput<typeof EditionChanges>;

/** An edition of a published course. */
const EditionSchema = v.object({
  edition: v.number(),
  published: v.number(),
  /** Since the one before it; null of the first. */
  changes: v.nullable(EditionChanges),
});

/** A run on the list, to be seen run. */
export const ShownRunAnswer = v.object({ run: RunSchema });
/** Whether others may see one's run. */
export const OpenRunBody = v.object({ open: v.boolean() });

/** A digest of what a published course shows: by it its document and its picture are asked for. */
const Look = v.string();

/** The document of a published course. */
export const DocumentAnswer = v.object({ course: CourseSchema });

/** A published course without its document. */
export const PublishedAnswer = v.object({
  slug: v.string(),
  look: Look,
  hash: v.string(),
  maker: v.string(),
  published: v.number(),
  /** Metres of the way it is meant to take. */
  length: v.number(),
  /** The first of them, and those about the viewer's own. */
  best: v.array(BestTime),
  /** Players who have finished; how their times spread, where there are enough of them to say. */
  players: v.number(),
  spread: v.nullable(Spread),
  /** Seconds of the maker's own run of the course as it is published, where there is one. */
  makerTime: v.nullable(v.number()),
  /** From 1 to 10, as the server read it off its proof; null until then. */
  difficulty: v.nullable(v.number()),
  edition: v.number(),
  /** The editions there are, the newest first; whether the one told of is it. */
  editions: v.array(EditionSchema),
  newest: v.boolean(),
  tries: v.number(),
  finishes: v.number(),
  likes: v.number(),
  /** Whether the viewer likes it, and whether it is the viewer's own. */
  liked: v.boolean(),
  own: v.boolean(),
});

/** Demo courses, to run or to take apart. */
export const DemosAnswer = v.object({
  demos: v.array(
    v.object({
      slug: v.string(),
      name: v.string(),
      maker: v.string(),
      kind: v.picklist(COURSE_KINDS),
      length: v.number(),
      look: Look,
    }),
  ),
});

/** Lengths that are looked for, from and to so many metres. */
export const LENGTHS = { short: [0, 100], middling: [100, 300], long: [300, Infinity] } as const;
/** How hard, from and to so much of 10. */
export const DIFFICULTIES = { gentle: [1, 3], fair: [3, 6], hard: [6, 11] } as const;
/** What published courses may be ordered by: when, how many like them, how often they are run, how near the best are. */
export const EXPLORE_ORDERS = ['new', 'liked', 'run', 'close'] as const;

/** What is asked of the published courses, as an address says it. */
export const ExploreQuery = v.object({
  words: v.optional(v.pipe(v.string(), v.maxLength(100, 'has more than 100 letters')), ''),
  kind: v.optional(v.picklist(COURSE_KINDS, 'is no kind of course')),
  runner: v.optional(v.picklist(RUNNERS, 'is no runner')),
  length: v.optional(v.picklist(['short', 'middling', 'long'], 'is no length')),
  difficulty: v.optional(v.picklist(['gentle', 'fair', 'hard'], 'is no difficulty')),
  /** Whether those the viewer has finished are left out. */
  unfinished: v.optional(v.picklist(['yes'], 'is yes or left out')),
  /** Whether only those of the last seven days are shown. */
  week: v.optional(v.picklist(['yes'], 'is yes or left out')),
  /** Somebody whose courses alone are looked for. */
  maker: v.optional(v.pipe(v.string(), v.maxLength(60, 'is no name'))),
  /** Whether only those of makers the viewer follows are shown. */
  followed: v.optional(v.picklist(['yes'], 'is yes or left out')),
  order: v.optional(v.picklist(EXPLORE_ORDERS, 'is no order'), 'new'),
  /** Where the answer before ended. */
  after: v.optional(v.pipe(v.string(), v.maxLength(100))),
});

/** A published course as it is found. */
export const Listing = v.object({
  slug: v.string(),
  look: Look,
  hash: v.string(),
  name: v.string(),
  maker: v.string(),
  kind: v.picklist(COURSE_KINDS),
  runner: v.picklist(RUNNERS),
  /** Metres. */
  length: v.number(),
  /** Of its maker's own run, s; strokes where the fewest win. */
  time: v.number(),
  strokes: v.optional(v.number()),
  /** From 1 to 10; null until it is read. */
  difficulty: v.nullable(v.number()),
  edition: v.number(),
  published: v.number(),
  /** How often it was begun for the list, and finished, as it now is. */
  tries: v.number(),
  finishes: v.number(),
  likes: v.number(),
  /** Whether the viewer has finished it. */
  finished: v.boolean(),
});
export const ExploreAnswer = v.object({
  courses: v.array(Listing),
  /** What the rest is asked for by; null where this was all. */
  next: v.nullable(v.string()),
});

/** What somebody finds wrong with a published course. */
export const ReportBody = v.object({
  words: v.pipe(
    v.string(),
    v.trim(),
    v.minLength(10, 'Say in ten letters or more what is wrong.'),
    v.maxLength(500, 'A report has at most 500 letters.'),
  ),
});

export const LikeBody = v.object({ liked: v.boolean() });
export const LikeAnswer = v.object({ likes: v.number() });
/** Whether a published course is up: its maker may take it down and put it back. */
export const ShownBody = v.object({ shown: v.boolean() });

/** Leave to run a published course for the list: the seed its chance comes from. */
export const AttemptAnswer = v.object({
  attempt: v.string(),
  hash: v.string(),
  seed: v.pipe(v.number(), v.integer()),
});

export const PlayerRunBody = v.object({
  run: RunSchema,
  /** The attempt the run was made in. */
  attempt: v.pipe(v.string(), v.maxLength(40)),
  player: v.optional(PlayerName),
  /** Whether others may see it run; they may where nothing is said. */
  open: v.optional(v.boolean()),
});
export const PlayerRunAnswer = v.object({
  time: v.number(),
  place: v.number(),
  best: v.array(BestTime),
});

export const ErrorAnswer = v.object({
  error: v.object({
    code: v.string(),
    message: v.string(),
    details: v.optional(v.record(v.string(), v.unknown())),
  }),
});

export type CourseOnServer = v.InferOutput<typeof CourseAnswer>;
export type CourseListed = v.InferOutput<typeof CourseSummary>;
export type KitListed = v.InferOutput<typeof KitSummary>;
export type Bin = v.InferOutput<typeof BinAnswer>;
export type Attempt = v.InferOutput<typeof AttemptAnswer>;
export type ExploreAsked = v.InferInput<typeof ExploreQuery>;
export type CourseFound = v.InferOutput<typeof Listing>;
/** A published course with its document. */
export type PublishedCourse = v.InferOutput<typeof PublishedAnswer> &
  v.InferOutput<typeof DocumentAnswer>;

/** What a maker or player without a name is called. */
export const UNNAMED = 'Somebody';

export const RecordingAnswer = v.object({
  /** Its name, which follows from what it holds. */
  file: v.pipe(v.string(), v.regex(/^[0-9a-f]{64}\.(wav|mp3|ogg)$/)),
});

/** The recordings a maker keeps. */
export const RecordingsAnswer = v.object({
  recordings: v.array(v.object({ file: v.string(), bytes: v.number(), made: v.number() })),
});
