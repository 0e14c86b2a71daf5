import { createHash } from 'node:crypto';
import express, { Router } from 'express';
import { RecordingAnswer } from '@/core/protocol';
import type { RecordingRow } from '../db/rows';
import { handler, HttpError, NoBody, notFound, param } from '../http';
import type { Context } from './context';
import { makerOrNew } from './session';

/** Most bytes a recording may have. */
const LIMIT = '15mb';
/** Most recordings one maker keeps. */
const MOST_RECORDINGS = 40;

const TYPES = { wav: 'audio/wav', mp3: 'audio/mpeg', ogg: 'audio/ogg' } as const;

/** Recordings that courses are built to. Their names follow from what they hold. */
export function recordings(context: Context): Router {
  const { db } = context;
  return Router()
    .post(
      '/recordings',
      express.raw({ type: () => true, limit: LIMIT }),
      handler({ body: NoBody, answer: RecordingAnswer }, async (data: unknown, req, res) => {
        const kind = Buffer.isBuffer(data) ? kindOf(data) : null;
        if (!Buffer.isBuffer(data) || !kind) {
          throw new HttpError(415, 'no-recording', 'That is no WAV, MP3 or OGG recording.');
        }
        const maker = await makerOrNew(context, req, res);
        const file = `${createHash('sha256').update(data).digest('hex')}.${kind}`;
        const [{ count }] = await db('recordings').where('maker', maker.id).count({ count: '*' });
        if (Number(count) >= MOST_RECORDINGS) {
          throw new HttpError(409, 'full', `At most ${MOST_RECORDINGS} recordings are kept.`);
        }
        const row: RecordingRow = { file, maker: maker.id, data, made: Date.now() };
        await db('recordings').insert(row).onConflict('file').ignore();
        res.status(201);
        return { file };
      }),
    )
    .get('/recordings/:file', (req, res, next) => {
      db<RecordingRow>('recordings')
        .where('file', param(req, 'file'))
        .first()
        .then((row) => {
          if (!row) throw notFound('The recording');
          const kind = row.file.slice(-3) as keyof typeof TYPES;
          res.setHeader('Content-Type', TYPES[kind]);
          res.setHeader('Cache-Control', 'public, max-age=31536000, immutable');
          res.send(row.data);
        })
        .catch(next);
    });
}

/** What a file's first bytes say it is, whatever it calls itself. */
function kindOf(data: Buffer): keyof typeof TYPES | null {
  const text = (from: number, to: number) => data.subarray(from, to).toString('latin1');
  if (data.length > 44 && text(0, 4) === 'RIFF' && text(8, 12) === 'WAVE') return 'wav';
  if (data.length > 64 && text(0, 4) === 'OggS') return 'ogg';
  if (
    data.length > 64 &&
    (text(0, 3) === 'ID3' || (data[0] === 0xff && (data[1] & 0xe0) === 0xe0))
  ) {
    return 'mp3';
  }
  return null;
}
