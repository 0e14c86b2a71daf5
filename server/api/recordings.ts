import express, { Router, type Request, type Response } from 'express';
import { DoneAnswer, RecordingAnswer, RecordingsAnswer } from '@/core/protocol';
import type { KeepRow, RecordingRow } from '../db/rows';
import { digestOf } from '../base/digest';
import { FOR_EVER, handler, HttpError, NoBody, notFound } from '../base/http';
import { param } from '../base/params';
import type { RecordingKind } from '../threads/recording';
import type { Context } from './context';
import { askerOf, knownOrNew, makerOf, makerOrNew, requireMaker } from './session';

/** Most bytes a recording may have. */
const LIMIT = '15mb';
/** Bytes of a recording that are looked at in a ms. */
const READ_RATE = 20_000;
/** Most recordings one maker keeps. */
export const MOST_RECORDINGS = 40;

const TYPES = { wav: 'audio/wav', mp3: 'audio/mpeg', ogg: 'audio/ogg' } as const satisfies Record<
  RecordingKind,
  string
>;

/** Recordings that courses are built to. Their names follow from what they hold. */
export function recordings(context: Context): Router {
  const { db } = context;
  return Router()
    .get(
      '/recordings',
      handler({ body: NoBody, answer: RecordingsAnswer }, async (_, req) => {
        const maker = await makerOf(context, req);
        if (!maker) return { recordings: [] };
        const own = { maker: maker.id, deleted: null };
        const rows = db<KeepRow>('keeps').where(own).orderBy('made', 'desc');
        return { recordings: await rows.select('file', 'bytes', 'made') };
      }),
    )
    .post(
      '/recordings',
      knownOrNew(context),
      express.raw({ type: () => true, limit: LIMIT }),
      handler({ body: NoBody, answer: RecordingAnswer }, async (data: unknown, req, res) => {
        const file = await keepRecording(context, data, req, res);
        res.status(201);
        return { file };
      }),
    )
    .get('/recordings/:file', (req, res) => sendRecording(context, req, res))
    .delete(
      '/recordings/:file',
      handler({ body: NoBody, answer: DoneAnswer }, async (_, req) => {
        const { id: maker } = await requireMaker(context, req);
        const gone = await db<KeepRow>('keeps')
          .where({ file: param(req, 'file'), maker, deleted: null })
          .update({ deleted: Date.now() });
        if (gone === 0) throw notFound('The recording');
        return { done: true };
      }),
    );
}

/**
 * Keeps a recording for the one who sends it.
 * @returns its name
 * @throws HttpError 415 when it is none, 409 when too many are kept
 */
async function keepRecording(
  context: Context,
  data: unknown,
  req: Request,
  res: Response,
): Promise<string> {
  const { db, limits, intake } = context;
  await limits.room();
  const party = await askerOf(context, req);
  const kind = Buffer.isBuffer(data)
    ? await intake.run(party, 'kindOfRecording', data, data.length / READ_RATE)
    : null;
  if (!Buffer.isBuffer(data) || !kind) {
    throw new HttpError(415, 'no-recording', 'That is no WAV, MP3 or OGG recording.');
  }
  const bytes = data.length;
  limits.sent(req, bytes);
  const { id: maker } = await makerOrNew(context, req, res);
  const file = `${digestOf(data)}.${kind}`;
  const own = { file, maker };
  const made = Date.now();
  await db.transaction(async (trx) => {
    if (!(await trx<KeepRow>('keeps').where(own).first('file'))) {
      const [{ count }] = await trx<KeepRow>('keeps').where({ maker }).count({ count: '*' });
      if (Number(count) >= MOST_RECORDINGS) {
        const words = `At most ${MOST_RECORDINGS} recordings are kept, those in the bin included.`;
        throw new HttpError(409, 'full', words);
      }
      await limits.keep(trx, maker, bytes);
    }
    await trx<RecordingRow>('recordings').insert({ file, data, made }).onConflict().ignore();
    await trx<KeepRow>('keeps')
      .insert({ ...own, bytes, made, deleted: null })
      .onConflict(['file', 'maker'])
      .merge(['deleted']);
  });
  return file;
}

/** Sends a recording, or the one part of it that was asked for. */
async function sendRecording({ db }: Context, req: Request, res: Response): Promise<void> {
  const row = await db<RecordingRow>('recordings').where('file', param(req, 'file')).first();
  if (!row) throw notFound('The recording');
  const { file, data } = row;
  res.set({
    'Content-Type': TYPES[file.slice(-3) as RecordingKind],
    'Cache-Control': FOR_EVER,
    'Accept-Ranges': 'bytes',
  });
  const ranges = req.range(data.length);
  if (ranges === -1) {
    res.set('Content-Range', `bytes */${data.length}`);
    throw new HttpError(416, 'no-part', 'The recording has no such part.');
  }
  // Several parts at once nobody asks for: they get it whole.
  if (!Array.isArray(ranges) || ranges.length !== 1 || ranges.type !== 'bytes') {
    return void res.send(data);
  }
  const [{ start, end }] = ranges;
  res.status(206).set('Content-Range', `bytes ${start}-${end}/${data.length}`);
  res.send(data.subarray(start, end + 1));
}
