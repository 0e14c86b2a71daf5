import * as v from 'valibot';
import { KitSchema } from '../assemble';
import { CourseSchema } from '../course';
import { RunSchema } from '../run';

/** What travels between page and server; the page uses the same schemas. */

const Name = v.pipe(
  v.string(),
  v.trim(),
  v.minLength(2, 'A name has at least two letters.'),
  v.maxLength(30, 'A name has at most 30 letters.'),
  v.regex(/^[\p{L}\p{N} .'’-]+$/u, 'A name has letters, digits, spaces, dots and dashes only.'),
);

export const ClaimBody = v.object({
  name: Name,
  passphrase: v.pipe(
    v.string(),
    v.minLength(10, 'A passphrase has at least ten characters.'),
    v.maxLength(200, 'A passphrase has at most 200 characters.'),
  ),
});

export const MakerAnswer = v.object({
  /** Whether there is an account at all. */
  known: v.boolean(),
  name: v.nullable(v.string()),
});

export const ProofState = v.nullable(
  v.object({ time: v.number(), fresh: v.boolean(), run: RunSchema }),
);

export const CourseAnswer = v.object({
  id: v.string(),
  revision: v.number(),
  course: CourseSchema,
  changed: v.number(),
  proof: ProofState,
  /** The link's name, and whether what is published is the course as it is now. */
  published: v.nullable(v.object({ slug: v.string(), current: v.boolean() })),
});

export const CourseListAnswer = v.object({ courses: v.array(CourseAnswer) });
export const CreateBody = v.object({ course: CourseSchema });
export const SaveBody = v.object({
  revision: v.pipe(v.number(), v.integer()),
  course: CourseSchema,
});
export const SavedAnswer = v.object({ revision: v.number(), changed: v.number() });
export const RevisionsAnswer = v.object({
  revisions: v.array(v.object({ revision: v.number(), saved: v.number(), pieces: v.number() })),
});
export const RevisionAnswer = v.object({ course: CourseSchema });
export const RunBody = v.object({ run: RunSchema });
export const ProofAnswer = v.object({ time: v.number(), best: v.boolean() });
export const PublishAnswer = v.object({ slug: v.string() });
export const DoneAnswer = v.object({ done: v.boolean() });

const KitEntry = v.object({ id: v.string(), kit: KitSchema });
export const KitsAnswer = v.object({ kits: v.array(KitEntry) });
export const KitBody = v.object({ kit: KitSchema });
export const KitAnswer = KitEntry;

export const BestTime = v.object({
  player: v.string(),
  time: v.number(),
  /** Where the fewest win. */
  strokes: v.optional(v.number()),
  own: v.boolean(),
});

export const PublishedAnswer = v.object({
  slug: v.string(),
  course: CourseSchema,
  hash: v.string(),
  maker: v.string(),
  published: v.number(),
  best: v.array(BestTime),
});

/** Demo courses, to run or to take apart. */
export const DemosAnswer = v.object({
  demos: v.array(v.object({ slug: v.string(), course: CourseSchema, maker: v.string() })),
});

export const PlayerRunBody = v.object({ run: RunSchema, player: v.optional(Name) });
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
export type PublishedCourse = v.InferOutput<typeof PublishedAnswer>;

/** What a maker or player without a name is called. */
export const UNNAMED = 'Somebody';

export const RecordingAnswer = v.object({
  /** Its name, which follows from what it holds. */
  file: v.pipe(v.string(), v.regex(/^[0-9a-f]{64}\.(wav|mp3|ogg)$/)),
});
