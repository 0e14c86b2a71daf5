import { showToast, type Phase } from '../../../parts';
import { useTune, type TuneTab } from '../../open/tuneStore';
import { course, type CommandContext } from '../list/command';
import type { Findable } from './rank';

/** A place where something is set. */
export interface SettingsPlace extends Findable {
  readonly id: string;
  readonly words: string;
  readonly phase: Phase;
  /** The tab of a chosen piece. */
  readonly tab?: TuneTab;
}

/** The places where things are set, by what is set there. */
export const SETTINGS: readonly SettingsPlace[] = [
  {
    id: 'set.runner',
    label: 'Runner: kind, speed and jump',
    words: 'player character avatar ball car vehicle hero walk pace acceleration double physics',
    phase: 'plan',
  },
  {
    id: 'set.sketch',
    label: 'Sketch the way and fit track',
    words: 'draw route path spline curve road generate circuit lane',
    phase: 'plan',
  },
  {
    id: 'set.targets',
    label: 'Target times and difficulty',
    words: 'medals gold silver bronze par goal time stars balance',
    phase: 'plan',
  },
  {
    id: 'set.rules',
    label: 'Rules of the course',
    words:
      'water sea level tide laps rounds lives gravity time limit countdown order checkpoints win lose respawn side-on mode starts spawn legs',
    phase: 'tune',
  },
  {
    id: 'set.tempo',
    label: 'Tempo and beat',
    words: 'music bpm rhythm song track metronome sync',
    phase: 'tune',
  },
  {
    id: 'set.camera',
    label: 'Players’ camera',
    words: 'view follow third person zoom angle field fov',
    phase: 'tune',
  },
  {
    id: 'set.place',
    label: 'Place, turn and size in figures',
    words:
      'measure distance ruler position coordinates rotation scale dimensions transform exact numbers xyz type',
    phase: 'tune',
    tab: 'place',
  },
  {
    id: 'set.contact',
    label: 'Contact: role and collision shape',
    words:
      'hitbox collider collision trigger sensor hazard deadly kill damage solid ghost checkpoint goal one-way box sphere allowance forgiving',
    phase: 'tune',
    tab: 'contact',
  },
  {
    id: 'set.surface',
    label: 'Surface: grip and bounce',
    words: 'friction ice slippery bouncy elastic material restitution slide conveyor sticky',
    phase: 'tune',
    tab: 'contact',
  },
  {
    id: 'set.motion',
    label: 'Motion: path, swing, spin, phase',
    words:
      'animation animate mover moving platform waypoints patrol keyframes timing loop enemy chase circle rotate oscillate elevator period speed',
    phase: 'tune',
    tab: 'motion',
  },
  {
    id: 'set.thrower',
    label: 'Thrower: what it sends out',
    words: 'cannon shoot spawner emitter projectile bullet turret fire launch',
    phase: 'tune',
    tab: 'motion',
  },
  {
    id: 'set.loose',
    label: 'Loose: falls and is pushed',
    words: 'physics rigid body dynamic ball pushable gravity crate mass',
    phase: 'tune',
    tab: 'contact',
  },
  {
    id: 'set.links',
    label: 'Links: when this happens, do that',
    words:
      'trigger event logic switch button script condition timer action signal wire connect message text sound teleport counter key door if then',
    phase: 'tune',
    tab: 'links',
  },
  {
    id: 'set.publish',
    label: 'Publish, link, code and files',
    words:
      'save backup upload release share url qr export download file glb svg csv png print screenshot thumbnail cover embed',
    phase: 'share',
  },
];

/** Goes to where something is set; tells to choose a piece first where it is set of one. */
export function goToSetting({ phase, tab }: SettingsPlace, { navigation }: CommandContext): void {
  navigation.to(phase);
  if (!tab) return;
  useTune.getState().set({ tab });
  if (course().choice.size === 0) showToast('Choose the piece it is about.');
}
