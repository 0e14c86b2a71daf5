import { newTouch, type Touch } from '../../collision';

/** The first touch of a traced way, and what was touched. */
export interface Contact extends Touch {
  collider: number;
}

export const newContact = (): Contact => ({ ...newTouch(), collider: -1 });
