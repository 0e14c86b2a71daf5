import { api, ApiError } from './api';

const answer = (status: number, body: unknown) =>
  Promise.resolve({ ok: status < 400, status, json: async () => body } as Response);

const fetchMock = jest.fn();
beforeEach(() => {
  fetchMock.mockReset();
  Object.assign(globalThis, { fetch: fetchMock });
});

const failure = async (work: Promise<unknown>): Promise<ApiError> => {
  try {
    await work;
  } catch (error) {
    return error as ApiError;
  }
  throw new Error('It did not fail.');
};

test('an answer is held to its schema', async () => {
  fetchMock.mockReturnValue(answer(200, { known: true, name: 'Isla', more: 1 }));
  expect(await api.me()).toEqual({ known: true, name: 'Isla' });
  expect(fetchMock.mock.calls[0][0]).toBe('/api/me');
  fetchMock.mockReturnValue(answer(200, { known: 'yes' }));
  await expect(api.me()).rejects.toThrow();
});

test("the server's own words come through, and its details", async () => {
  fetchMock.mockReturnValue(
    answer(409, { error: { code: 'stale', message: 'Saved elsewhere.', details: { theirs: 2 } } }),
  );
  const error = await failure(api.publish('a'));
  expect([error.status, error.code, error.message, error.details]).toEqual([
    409,
    'stale',
    'Saved elsewhere.',
    { theirs: 2 },
  ]);
});

test('no server, and an answer that is none, are told apart', async () => {
  fetchMock.mockReturnValue(Promise.reject(new TypeError('failed')));
  expect((await failure(api.me())).status).toBe(0);
  fetchMock.mockReturnValue(answer(502, '<html>'));
  expect((await failure(api.me())).code).toBe('fault');
});
const waiting = (_: unknown, { signal }: RequestInit = {}) =>
  new Promise<Response>((_resolve, reject) =>
    signal!.addEventListener('abort', () => reject(signal!.reason as Error)),
  );

test('who leaves ends the asking, and nothing is said of the server', async () => {
  fetchMock.mockImplementation(waiting);
  const leaving = new AbortController();
  const answer = api.bin(leaving.signal);
  leaving.abort();
  await expect(answer).rejects.not.toBeInstanceOf(ApiError);
  expect(fetchMock.mock.calls[0][1].signal.aborted).toBe(true);
});

test('a server that does not answer is out of reach for whoever waits', async () => {
  fetchMock.mockRejectedValue(new TypeError('refused'));
  await expect(api.bin(new AbortController().signal)).rejects.toMatchObject({ status: 0 });
});
