const PARTS: Readonly<Record<number, string>> = { 0.1: '⅒', 0.25: '¼', 0.5: '½' };

/** How fast something goes, times its usual pace: `½×`, `2×`. */
export const speedWords = (speed: number): string => `${PARTS[speed] ?? speed}×`;
