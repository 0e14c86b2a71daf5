import { create } from 'zustand';

/** Whether something of the course is being dragged over the scene now. */
export const useDragState = create<{ readonly dragging: boolean }>()(() => ({ dragging: false }));
