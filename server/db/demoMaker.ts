/** How the ids of the demo's makers begin. */
export const DEMO_MAKER = 'demo-';
