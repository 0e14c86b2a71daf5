import { memo, useEffect, useMemo } from 'react';
import { CanvasTexture, DoubleSide, MeshBasicMaterial } from 'three';
import type { Piece } from '@/core/course';
import { familyOf, specOf, turnOf } from '@/core/pieces';
import { add, rotate, type Vec3 } from '@/core/geometry';
import { DAY, TYPE } from '../theme';

/** The words on boards, written onto them. */
export const BoardTexts = memo(function BoardTexts({ pieces }: { pieces: readonly Piece[] }) {
  const boards = pieces.filter(({ family }) => family === 'board');
  return (
    <>
      {boards.map((piece) => (
        <BoardText key={piece.id} piece={piece} />
      ))}
    </>
  );
});

const BoardText = memo(function BoardText({ piece }: { piece: Piece }) {
  const { size, choice } = specOf(familyOf('board'), piece);
  const text = choice('text');
  const [w, h, d] = size;
  // In front of the boarding, which stands half as deep as the posts.
  const at = [0, h * 0.74, d * 0.25 + 0.012] as const;
  return <Words text={text} on={piece} at={at} width={w * 0.96} height={h * 0.46} />;
});

interface WordsProps {
  readonly text: string;
  readonly on: Pick<Piece, 'at' | 'turn'>;
  /** The middle of them in the frame of what they are on, m; they look along its z. */
  readonly at: Vec3;
  /** What they have to fit into, m. */
  readonly width: number;
  readonly height: number;
  /** Whether they are on something dark. */
  readonly light?: boolean;
}

/** Words that are written on something. */
export function Words({ text, on, at, width, height, light = false }: WordsProps) {
  const material = useMemo(
    () =>
      new MeshBasicMaterial({
        map: written(text, width / height, light ? DAY.card : DAY.ink),
        transparent: true,
        side: DoubleSide,
        depthWrite: false,
      }),
    [text, width, height, light],
  );
  useEffect(
    () => () => {
      material.map?.dispose();
      material.dispose();
    },
    [material],
  );
  const place = add(on.at, rotate(turnOf(on), at));
  const [tx, ty, tz] = (on.turn ?? [0, 0, 0]).map((v) => (v * Math.PI) / 180);
  return (
    <mesh
      position={[place[0], place[1], place[2]]}
      rotation={[tx, ty, tz, 'YXZ']}
      material={material}
    >
      <planeGeometry args={[width, height]} />
    </mesh>
  );
}

/** Words as a picture, in as large a hand as fits on up to three lines. */
function written(text: string, aspect: number, colour: string): CanvasTexture {
  const canvas = document.createElement('canvas');
  canvas.height = 160;
  canvas.width = Math.round(Math.min(8, Math.max(0.5, aspect)) * 160);
  const brush = canvas.getContext('2d');
  if (brush) {
    brush.fillStyle = colour;
    brush.textAlign = 'center';
    brush.textBaseline = 'middle';
    for (let size = 90; size >= 16; size -= 6) {
      brush.font = `${size}px ${TYPE.title.fontFamily}, sans-serif`;
      const lines = broken(brush, text, canvas.width - 24);
      if (lines.length * size * 1.1 > canvas.height - 10 && size > 16) continue;
      lines.forEach((line, i) =>
        brush.fillText(
          line,
          canvas.width / 2,
          canvas.height / 2 + (i - (lines.length - 1) / 2) * size * 1.1,
        ),
      );
      break;
    }
  }
  return new CanvasTexture(canvas);
}

function broken(brush: CanvasRenderingContext2D, text: string, width: number): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(/\s+/)) {
    const longer = line ? `${line} ${word}` : word;
    if (line && brush.measureText(longer).width > width) {
      lines.push(line);
      line = word;
    } else line = longer;
  }
  return [...lines, line];
}
