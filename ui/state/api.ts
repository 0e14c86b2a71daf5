import * as v from 'valibot';
import type { Kit } from '@/core/edit';
import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import {
  AttemptAnswer,
  BinAnswer,
  CourseAnswer,
  CourseListAnswer,
  DemosAnswer,
  DevicesAnswer,
  DoneAnswer,
  EndsAnswer,
  ErrorAnswer,
  ExploreAnswer,
  KitAnswer,
  KitsAnswer,
  LikeAnswer,
  MakerAnswer,
  PlayerRunAnswer,
  ProofAnswer,
  RecordingAnswer,
  PublishAnswer,
  PublishedAnswer,
  DocumentAnswer,
  type PublishedCourse,
  ShownRunAnswer,
  RecordingsAnswer,
  SavedAnswer,
  VersionAnswer,
  VersionsAnswer,
  FollowAnswer,
  MakerPageAnswer,
  NotesAnswer,
  SeriesAnswer,
  SeriesListAnswer,
  type Bin,
  type ExploreAsked,
  type SeriesWritten,
  type Shelf,
} from '@/core/protocol';
import type { Run } from '@/core/run';

/** A request that did not succeed; `status` 0 means the server was not reached. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly details: Record<string, unknown> = {},
  ) {
    super(message);
    this.name = 'ApiError';
  }
}

/** True where what was asked for is not there: nothing has that address, or nothing can have it. */
export const isNotThere = (error: unknown): boolean =>
  error instanceof ApiError && (error.status === 404 || error.status === 400);

/** Whether an error says nothing against what was sent: it may be sent again. */
export const maySendAgain = (error: unknown): boolean => {
  if (!(error instanceof ApiError)) return true;
  const { status } = error;
  return status === 0 || status >= 500 || status === 429;
};

const TIMEOUT_MS = 20_000;

/** A request's content: a file as it is, all else as JSON. */
const contentOf = (body: unknown): Pick<RequestInit, 'headers' | 'body'> => {
  if (body === undefined) return {};
  if (body instanceof Blob) {
    return { headers: { 'Content-Type': 'application/octet-stream' }, body };
  }
  return { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) };
};

async function request<S extends v.GenericSchema>(
  answer: S,
  method: string,
  path: string,
  body?: unknown,
  signal?: AbortSignal,
): Promise<v.InferOutput<S>> {
  const timeout = AbortSignal.timeout(TIMEOUT_MS);
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      ...contentOf(body),
      // Where signals cannot be joined the answer is waited for, whoever left.
      signal: signal && 'any' in AbortSignal ? AbortSignal.any([signal, timeout]) : timeout,
    });
  } catch (error) {
    // Whoever asked left: nothing is said of the server.
    if (signal?.aborted) throw error;
    throw new ApiError(0, 'offline', 'The server cannot be reached.');
  }
  const data: unknown = await response.json().catch(() => undefined);
  if (!response.ok) {
    const told = v.safeParse(ErrorAnswer, data);
    if (!told.success)
      throw new ApiError(response.status, 'fault', 'The server gave no answer that makes sense.');
    const { code, message, details } = told.output.error;
    throw new ApiError(response.status, code, message, details);
  }
  return v.parse(answer, data);
}

/** Asks for something; a signal ends the asking when nobody waits for it any more. */
const read = <S extends v.GenericSchema>(answer: S, path: string, signal?: AbortSignal) =>
  request(answer, 'GET', path, undefined, signal);

/** A published course with its document, which the browser caches by its digest. */
async function publishedCourse(
  slug: string,
  edition?: number,
  signal?: AbortSignal,
): Promise<PublishedCourse> {
  const told = () =>
    read(PublishedAnswer, `/published/${slug}${edition ? `?edition=${edition}` : ''}`, signal);
  const whole = async () => {
    const answer = await told();
    const path = `/published/${slug}/documents/${answer.look}`;
    return { ...answer, ...(await read(DocumentAnswer, path, signal)) };
  };
  try {
    return await whole();
  } catch (error) {
    // Published anew between the two: what it shows now is asked for.
    if (!(error instanceof ApiError) || error.status !== 404) throw error;
    return whole();
  }
}

/** The server's resources, each answer held to its schema. */
export const api = {
  me: (signal?: AbortSignal) => read(MakerAnswer, '/me', signal),
  /** Takes a name, or changes it or the passphrase, for which the old one is asked. */
  claimName: (name: string, passphrase: string, old?: string) =>
    request(MakerAnswer, 'PUT', '/me', { name, passphrase, old }),
  signIn: (name: string, passphrase: string) =>
    request(MakerAnswer, 'POST', '/session', { name, passphrase }),
  signOut: () => request(DoneAnswer, 'DELETE', '/session'),
  /** The devices that are signed in. */
  devices: (signal?: AbortSignal) => read(DevicesAnswer, '/me/devices', signal),
  endDevice: (id: string) => request(DoneAnswer, 'DELETE', `/me/devices/${id}`),
  /** Ends all devices but this one. */
  endOthers: () => request(DoneAnswer, 'DELETE', '/me/devices'),
  /** Deletes the maker and all that is theirs. */
  leave: (passphrase: string) => request(DoneAnswer, 'DELETE', '/me', { passphrase }),
  courses: (signal?: AbortSignal) => read(CourseListAnswer, '/courses', signal),
  course: (id: string, signal?: AbortSignal) => read(CourseAnswer, `/courses/${id}`, signal),
  /** Keeps a new course by an id of one's own; the same once more is kept once. */
  create: (id: string, course: Course) => request(CourseAnswer, 'POST', '/courses', { id, course }),
  save: (id: string, revision: number, course: Course) =>
    request(SavedAnswer, 'PUT', `/courses/${id}`, { revision, course }),
  remove: (id: string) => request(DoneAnswer, 'DELETE', `/courses/${id}`),
  /** Puts a course of one's own into a folder, or none, and under tags. */
  shelve: (id: string, shelf: Shelf) => request(DoneAnswer, 'PUT', `/courses/${id}/shelf`, shelf),
  versions: (id: string, signal?: AbortSignal) =>
    read(VersionsAnswer, `/courses/${id}/versions`, signal),
  version: (id: string, revision: number, signal?: AbortSignal) =>
    read(VersionAnswer, `/courses/${id}/versions/${revision}`, signal),
  nameVersion: (id: string, revision: number, label: string | null) =>
    request(DoneAnswer, 'PUT', `/courses/${id}/versions/${revision}`, { label }),
  bin: (signal?: AbortSignal) => read(BinAnswer, '/bin', signal),
  /** Takes something out of the bin. */
  restore: (kind: keyof Bin, id: string) => request(DoneAnswer, 'POST', `/${kind}/${id}/restore`),
  emptyBin: () => request(DoneAnswer, 'DELETE', '/bin'),
  prove: (id: string, run: Run) => request(ProofAnswer, 'POST', `/courses/${id}/proof`, { run }),
  publish: (id: string) => request(PublishAnswer, 'POST', `/courses/${id}/publish`),
  kits: (signal?: AbortSignal) => read(KitsAnswer, '/kits', signal),
  kit: (id: string, signal?: AbortSignal) => read(KitAnswer, `/kits/${id}`, signal),
  keepKit: (kit: Kit) => request(KitAnswer, 'POST', '/kits', { kit }),
  changeKit: (id: string, kit: Kit) => request(KitAnswer, 'PUT', `/kits/${id}`, { kit }),
  removeKit: (id: string) => request(DoneAnswer, 'DELETE', `/kits/${id}`),
  recordings: (signal?: AbortSignal) => read(RecordingsAnswer, '/recordings', signal),
  keepRecording: (file: Blob) => request(RecordingAnswer, 'POST', '/recordings', file),
  removeRecording: (file: string) => request(DoneAnswer, 'DELETE', `/recordings/${file}`),
  demos: (signal?: AbortSignal) => read(DemosAnswer, '/demos', signal),
  /** A page of the published courses that are looked for. */
  explore: (asked: ExploreAsked, signal?: AbortSignal) => {
    const said = Object.entries(asked).filter((field): field is [string, string] => !!field[1]);
    return read(ExploreAnswer, `/explore?${new URLSearchParams(said)}`, signal);
  },
  like: (slug: string, liked: boolean) =>
    request(LikeAnswer, 'PUT', `/published/${slug}/like`, { liked }),
  /** Tells whoever runs the server what is wrong with a course. */
  report: (slug: string, words: string) =>
    request(DoneAnswer, 'POST', `/published/${slug}/reports`, { words }),
  /** Takes a run off the list of one's own course. */
  removeRun: (slug: string, run: string) =>
    request(DoneAnswer, 'DELETE', `/published/${slug}/runs/${run}`),
  /** Takes what is published of a course down, or puts it back. */
  show: (id: string, shown: boolean) =>
    request(DoneAnswer, 'PUT', `/courses/${id}/published`, { shown }),
  /** A published course as it is now, or an edition it had. */
  published: (slug: string, edition?: number, signal?: AbortSignal) =>
    publishedCourse(slug, edition, signal),
  /** One's own series; a series as anyone sees it. */
  allSeries: (signal?: AbortSignal) => read(SeriesListAnswer, '/series', signal),
  series: (id: string, signal?: AbortSignal) => read(SeriesAnswer, `/series/${id}`, signal),
  createSeries: (series: SeriesWritten) => request(SeriesAnswer, 'POST', '/series', series),
  changeSeries: (id: string, series: SeriesWritten) =>
    request(SeriesAnswer, 'PUT', `/series/${id}`, series),
  removeSeries: (id: string) => request(DoneAnswer, 'DELETE', `/series/${id}`),
  makerPage: (name: string, signal?: AbortSignal) =>
    read(MakerPageAnswer, `/makers/${encodeURIComponent(name)}`, signal),
  follow: (name: string, followed: boolean) =>
    request(FollowAnswer, 'PUT', `/makers/${encodeURIComponent(name)}/follow`, { followed }),
  /** A word to the maker of a published course; those on one's own. */
  sendNote: (slug: string, words: string) =>
    request(DoneAnswer, 'POST', `/published/${slug}/notes`, { words }),
  notes: (id: string, before: number | null, signal?: AbortSignal) =>
    read(NotesAnswer, `/courses/${id}/notes${before === null ? '' : `?before=${before}`}`, signal),
  /** Takes no more notes from whoever wrote one, or takes them again. */
  blockNote: (id: string, note: number, blocked: boolean) =>
    request(DoneAnswer, 'PUT', `/courses/${id}/notes/${note}/blocked`, { blocked }),
  /** Removes an earlier edition of a published course of one's own. */
  removeEdition: (slug: string, edition: number) =>
    request(DoneAnswer, 'DELETE', `/published/${slug}/editions/${edition}`),
  reportNote: (id: string, note: number) =>
    request(DoneAnswer, 'PUT', `/courses/${id}/notes/${note}/reported`),
  removeNote: (id: string, note: number) =>
    request(DoneAnswer, 'DELETE', `/courses/${id}/notes/${note}`),
  /** Leave to run for the list, with the seed the run's chance comes from. */
  attempt: (slug: string) => request(AttemptAnswer, 'POST', `/published/${slug}/attempts`),
  /** Says that an attempt is begun. */
  beginAttempt: (slug: string, attempt: string) =>
    request(DoneAnswer, 'PUT', `/published/${slug}/attempts/${attempt}`),
  /** Where an attempt came to an end; where all of them did. */
  tellEnds: (slug: string, attempt: string, ends: readonly Vec3[]) =>
    request(DoneAnswer, 'PUT', `/published/${slug}/attempts/${attempt}/ends`, { ends }),
  ends: async (slug: string, signal?: AbortSignal) =>
    (await read(EndsAnswer, `/published/${slug}/ends`, signal)).ends,
  /** A run on the list of a published course, or its maker's, to be seen run. */
  shownRun: async (slug: string, run: string, signal?: AbortSignal) =>
    (await read(ShownRunAnswer, `/published/${slug}/runs/${run}`, signal)).run,
  /** Whether others may see one's own run of it. */
  openRun: (slug: string, open: boolean) =>
    request(DoneAnswer, 'PUT', `/published/${slug}/runs/own`, { open }),
  sendRun: (slug: string, { run, attempt, player, open }: SentRun) =>
    request(PlayerRunAnswer, 'POST', `/published/${slug}/runs`, {
      run,
      attempt,
      player: player || undefined,
      open,
    }),
};

/** A run as it is sent in, with the attempt it was made in. */
export interface SentRun {
  readonly run: Run;
  readonly attempt: string;
  readonly player?: string;
  /** Whether others may see it run. */
  readonly open: boolean;
}

/** Where pictures are to be had; their addresses change with what they show. */
export const pictureOf = {
  course: ({ id, revision }: { id: string; revision: number }) =>
    `/api/courses/${id}/picture?of=${revision}`,
  kit: ({ id, changed }: { id: string; changed: number }) =>
    `/api/kits/${id}/picture?of=${changed}`,
  published: ({ slug, look }: { slug: string; look: string }) =>
    `/api/published/${slug}/picture?of=${look}`,
};

/** Where all that is kept of a maker is to be had, as one file. */
export const ALL_DATA = '/api/me/data';
