/** Most levels of lists and objects in each other: a course has about ten. */
const MOST_DEEP = 40;

/** Said of text that `jsonOf` makes nothing of. */
export const NO_JSON = 'The request is cut off, is not JSON, or nests too deeply.';

/** The value that JSON text holds; undefined where it is none, or nests deeper than anything that is kept does. */
export function jsonOf(text: string): unknown {
  try {
    return isTooDeep(text) ? undefined : (JSON.parse(text) as unknown);
  } catch {
    return undefined;
  }
}

/** Looked at before it is read, so that nothing that goes down into it can run out of room. */
function isTooDeep(json: string): boolean {
  let depth = 0;
  let quoted = false;
  for (let i = 0; i < json.length; i++) {
    const c = json.charCodeAt(i);
    if (quoted) {
      if (c === BACKSLASH) i++;
      else if (c === QUOTE) quoted = false;
    } else if (c === QUOTE) quoted = true;
    else if (c === LIST || c === OBJECT) {
      if (++depth > MOST_DEEP) return true;
    } else if (c === LIST_END || c === OBJECT_END) depth--;
  }
  return false;
}

const [QUOTE, BACKSLASH, LIST, LIST_END, OBJECT, OBJECT_END] = [...'"\\[]{}'].map((letter) =>
  letter.charCodeAt(0),
);
