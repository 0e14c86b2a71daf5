import type { Request, RequestHandler, Response } from 'express';
import * as v from 'valibot';

/** An answer other than success, with words for whoever asked. */
export class HttpError extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly details: Record<string, unknown> = {},
    readonly headers: Record<string, string> = {},
  ) {
    super(message);
    this.name = 'HttpError';
  }
}

export const notFound = (what: string): HttpError =>
  new HttpError(404, 'not-found', `${what} was not found.`);

/**
 * A handler whose body and answer are held to schemas.
 * A body that breaks its schema is answered with 400 and the places that are wrong.
 */
export function handler<Body extends v.GenericSchema, Answer extends v.GenericSchema>(
  schemas: { body: Body; answer: Answer },
  act: (body: v.InferOutput<Body>, req: Request, res: Response) => Promise<v.InferInput<Answer>>,
): RequestHandler {
  return async (req, res) => {
    // One fault is told: looking for all of them is work that whoever sends nonsense decides about.
    const body = v.safeParse(schemas.body, req.body, { abortEarly: true });
    if (!body.success) {
      const places = body.issues.map(
        (issue) => `${v.getDotPath(issue) ?? 'body'}: ${issue.message}`,
      );
      throw new HttpError(400, 'broken', `The request is not as it should be: ${places[0]}.`, {
        places: places.slice(0, 20),
      });
    }
    const answer = await act(body.output, req, res);
    res.json(v.parse(schemas.answer, answer));
  };
}

/** For requests without a body. */
export const NoBody = v.any();

/**
 * Answers with JSON into which texts that are JSON already are put as they are: documents are long, and were
 * read when they were taken in.
 */
export function sendJson(
  res: Response,
  fields: Record<string, unknown>,
  texts: Record<string, string>,
): void {
  const parts = [
    ...Object.entries(fields).map(
      ([key, value]) => `${JSON.stringify(key)}:${JSON.stringify(value)}`,
    ),
    ...Object.entries(texts).map(([key, text]) => `${JSON.stringify(key)}:${text}`),
  ];
  res.type('application/json').send(`{${parts.join(',')}}`);
}

/** `Cache-Control` for content addressed by its digest. */
export const FOR_EVER = 'public, max-age=31536000, immutable';

/**
 * Answers with a picture as SVG text.
 * @param scope who may keep it for ever, where its address names what it shows; null where it does not
 */
export function sendPicture(res: Response, svg: string, scope: 'public' | 'private' | null): void {
  res.set({
    'Cache-Control': scope === null ? 'no-store' : FOR_EVER.replace('public', scope),
    // Opened by itself it is a picture and nothing else.
    'Content-Security-Policy': "default-src 'none'",
  });
  res.type('image/svg+xml').send(svg);
}
