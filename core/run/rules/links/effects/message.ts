import type { ApplyEffect } from './effect';

export const applyMessage: ApplyEffect = ({ say }, { text }) => say('message', 1, -1, text ?? '');
