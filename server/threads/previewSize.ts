/** Pixels of the picture a link is shown with: as wide and high as most who show links cut them. */
export const [PREVIEW_WIDTH, PREVIEW_HEIGHT] = [1200, 630];
