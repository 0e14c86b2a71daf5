/** Behind words over a scene: read over a tower's wall or an evening sea as over a pale sky. */
export const OVER_SCENE = 'rgba(251,249,244,0.84)';
