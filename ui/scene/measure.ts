/** Frames looked at, after some for warming up. */
const WARM = 4;
const FRAMES = 8;
/**
 * A frame that takes longer leaves no time for smooth edges, ms; two that take so much longer, or one that takes as long
 * as two of them, need no further look.
 */
const QUICK = 22;
const HOPELESS = 4 * QUICK;

/**
 * What the frames measured so far say, as soon as those to come could say nothing else: a slow device is not kept from
 * drawing what it is for.
 * @param times of the frames, ms, those for warming up first
 */
export function verdictOf(times: readonly number[]): 'light' | 'full' | null {
  // The first of all compiles.
  const hopeless = times.slice(1).filter((ms) => ms > HOPELESS);
  if (hopeless.reduce((sum, ms) => sum + ms, 0) > 2 * HOPELESS) return 'light';
  const counted = times.slice(WARM);
  const quick = counted.filter((ms) => ms < QUICK).length;
  if (quick > FRAMES / 2) return 'full';
  return counted.length - quick >= FRAMES / 2 ? 'light' : null;
}

let found: Promise<'light' | 'full'> | undefined;

/**
 * How this device is best drawn for: it draws a few frames of many facets aside and takes their
 * time. Measured once a visit.
 */
export function measuredDrawing(): Promise<'light' | 'full'> {
  return (found ??= measure());
}

async function measure(): Promise<'light' | 'full'> {
  const canvas = document.createElement('canvas');
  canvas.width = 800;
  canvas.height = 800;
  const gl = canvas.getContext('webgl2', { antialias: true });
  if (!gl) return 'light';
  const program = gl.createProgram();
  for (const [kind, source] of [
    [
      gl.VERTEX_SHADER,
      `#version 300 es
      out vec3 c;
      void main() {
        float i = float(gl_VertexID);
        vec2 p = fract(vec2(i * 0.618, i * 0.317)) * 2.0 - 1.0;
        c = vec3(p, 0.5);
        gl_Position = vec4(p, fract(i * 0.123), 1.0);
      }`,
    ],
    [
      gl.FRAGMENT_SHADER,
      `#version 300 es
      precision mediump float;
      in vec3 c;
      out vec4 o;
      void main() { o = vec4(c, 1.0); }`,
    ],
  ] as const) {
    const shader = gl.createShader(kind)!;
    gl.shaderSource(shader, source);
    gl.compileShader(shader);
    gl.attachShader(program, shader);
  }
  gl.linkProgram(program);
  gl.useProgram(program);
  const pixel = new Uint8Array(4);
  const times: number[] = [];
  let verdict: ReturnType<typeof verdictOf> = null;
  while (verdict === null) {
    await new Promise((resolve) => requestAnimationFrame(resolve));
    const from = performance.now();
    gl.drawArrays(gl.TRIANGLES, 0, 300);
    // Reading a pixel waits until the drawing is really done.
    gl.readPixels(0, 0, 1, 1, gl.RGBA, gl.UNSIGNED_BYTE, pixel);
    times.push(performance.now() - from);
    verdict = verdictOf(times);
  }
  gl.getExtension('WEBGL_lose_context')?.loseContext();
  return verdict;
}
