/** Whether a text may be a drawing. */
export const looksLikeSvg = (text: string): boolean =>
  /^\uFEFF?\s*(<\?xml|<!--|<!DOCTYPE\s+svg|<svg)/i.test(text.slice(0, 1000)) &&
  /<svg[\s/>]/i.test(text.slice(0, 10_000));
