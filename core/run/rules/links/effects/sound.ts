import type { ApplyEffect } from './effect';

export const applySound: ApplyEffect = ({ say }, { sound }) => say('sound', 1, -1, sound ?? 'bell');
