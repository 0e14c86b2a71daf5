declare module 'unicode-confusables' {
  /** A text with each letter replaced by the one that stands for all that look like it. */
  export const rectifyConfusion: (text: string) => string;
}
