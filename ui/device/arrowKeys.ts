const WAYS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

interface KeyEvent {
  readonly key: string;
  preventDefault: () => void;
  stopPropagation: () => void;
}

/**
 * Has something that is dragged be moved by arrow keys as well, and nobody else hear of them. What a view is given: the
 * web's views answer to keys, of which the native types know nothing.
 * @param act is told a step to the right and down; answers false where that is no way of its
 */
export const arrowKeys = (act: (right: number, down: number) => boolean | void): object => ({
  tabIndex: 0,
  onKeyDown: (event: KeyEvent) => {
    const way = WAYS[event.key];
    if (!way || act(way[0], way[1]) === false) return;
    event.preventDefault();
    event.stopPropagation();
  },
});
