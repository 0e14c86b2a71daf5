import { readFileSync } from 'node:fs';
import { initWasm, Resvg } from '@resvg/resvg-wasm';
import { toCourse } from '@/core/course';
import { PREVIEW_HEIGHT, PREVIEW_WIDTH } from './previewSize';
import { drawCourse, escaped, toSvg } from '@/core/formats';

/** The band below the course in which it is named. */
const BAND = 170;
const MARGIN = 48;
/** Faces of more than this are not told apart. */
const MOST_FACES = 4000;

const [PAPER, SHALLOWS, INK, SLATE] = ['#F3EFE7', '#CFDFDC', '#1F2A2E', '#4A5A60'];
const [NAME_FONT, TEXT_FONT] = ['Bricolage Grotesque', 'Atkinson Hyperlegible Next'];
/** Width of a letter as a part of its height, on the wide side. */
const LETTER = 0.56;

/** What is drawn for a link: the course as others have it, its name, and a line about it. */
export interface PreviewTask {
  readonly document: string;
  readonly name: string;
  readonly words: string;
}

/** The picture a link to a course is shown with, as PNG. */
export async function drawPreview({ document, name, words }: PreviewTask): Promise<Uint8Array> {
  const height = PREVIEW_HEIGHT - BAND;
  const drawing = drawCourse(toCourse(JSON.parse(document)));
  const picture = toSvg(drawing, PREVIEW_WIDTH, height, 40, 0.8, MOST_FACES);
  const size = Math.min(64, (PREVIEW_WIDTH - 2 * MARGIN) / (LETTER * Math.max(1, name.length)));
  const svg =
    `<svg xmlns="http://www.w3.org/2000/svg" width="${PREVIEW_WIDTH}" height="${PREVIEW_HEIGHT}">` +
    `<rect width="100%" height="100%" fill="${SHALLOWS}"/>${picture}` +
    `<rect y="${height}" width="100%" height="${BAND}" fill="${PAPER}"/>` +
    `<text x="${MARGIN}" y="${height + 84}" font-family="${NAME_FONT}" font-weight="700" ` +
    `font-size="${size}" fill="${INK}">${escaped(name)}</text>` +
    `<text x="${MARGIN}" y="${height + 134}" font-family="${TEXT_FONT}" font-size="32" ` +
    `fill="${SLATE}">${escaped(words)}</text></svg>`;
  await ready();
  const rendered = new Resvg(svg, {
    font: { fontBuffers: fonts(), defaultFontFamily: TEXT_FONT, loadSystemFonts: false } as never,
  });
  try {
    const image = rendered.render();
    try {
      return image.asPng();
    } finally {
      image.free();
    }
  } finally {
    rendered.free();
  }
}

let begun: Promise<void> | null = null;
const ready = (): Promise<void> =>
  (begun ??= initWasm(readFileSync(require.resolve('@resvg/resvg-wasm/index_bg.wasm'))));

let read: Uint8Array[] | null = null;
const fonts = (): Uint8Array[] =>
  (read ??= [
    'bricolage-grotesque/700Bold/BricolageGrotesque_700Bold.ttf',
    'atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf',
  ].map((file) => readFileSync(require.resolve(`@expo-google-fonts/${file}`))));
