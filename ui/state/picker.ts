import type { StoreApi, UseBoundStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';

/** A hook that gives so many of a store's values by name, and hears of no others. */
export const picker =
  <S extends object>(use: UseBoundStore<StoreApi<S>>) =>
  <K extends keyof S>(...keys: K[]): Pick<S, K> =>
    use(
      useShallow((store: S) => {
        const picked = {} as Pick<S, K>;
        for (const key of keys) picked[key] = store[key];
        return picked;
      }),
    );
