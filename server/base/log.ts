import pino, { type DestinationStream, type Logger } from 'pino';

/** Of a database's complaint the statement, with the values in it, comes first: this is what follows. */
const complaint = (message: string): string =>
  /^\s*(insert|update|select|delete|with|create|alter|drop|begin|commit|pragma)\b/i.test(message)
    ? (/ - ([^-]*)$/.exec(message)?.[1] ?? 'a statement failed')
    : message;

/** Whether something is an error, of whichever library's kind. */
const isError = (value: unknown): value is Error =>
  typeof value === 'object' &&
  value !== null &&
  typeof (value as Error).message === 'string' &&
  typeof (value as Error).stack === 'string';

/** An error without what it was done with: no values, no headers. */
export function plainError(error: unknown): object {
  if (!isError(error)) return { message: 'something that is no error was thrown' };
  const { name, stack = '' } = error;
  const code = (error as { code?: unknown }).code;
  return {
    type: name,
    message: complaint(error.message),
    ...(typeof code === 'string' ? { code } : {}),
    stack: stack
      .split('\n')
      .filter((line) => /^\s+at /.test(line))
      .join('\n'),
  };
}

/** What is told of a request and of its answer: neither cookies nor what was asked for. */
export const plainSerializers = {
  err: plainError,
  error: plainError,
  req: ({ id, method, url }: { id: unknown; method: string; url: string }) => ({
    id,
    method,
    // What follows a question mark is nobody's business.
    url: url.split('?')[0],
  }),
  res: ({ statusCode }: { statusCode: number }) => ({ statusCode }),
};

/** The server's log: requests without cookies, errors without the values they were about. */
export const createLogger = (level: string, to?: DestinationStream): Logger =>
  pino(
    {
      level,
      hooks: {
        // An error given by itself would have its words told beside what is told of it.
        logMethod(args, method) {
          const [first] = args as unknown[];
          if (!isError(first)) return method.apply(this, args);
          const [error, words] = args as unknown as [Error, string?];
          return method.apply(this, [{ err: error }, words ?? complaint(error.message)]);
        },
      },
      serializers: plainSerializers,
    },
    to ?? pino.destination(1),
  );
