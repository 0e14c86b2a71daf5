/** Changes a slice's own values: some of them, or what they become after those now. */
export type SetSlice<S> = (change: Partial<S> | ((now: S) => Partial<S>)) => void;
