import type { Course, Sky } from '@/core/course';
import { tideLine } from '@/core/run';
import { Stepper } from '../../../parts';
import { USUAL_HOUR, USUAL_SIGHT, USUAL_TIDE } from '../../../scene';
import { useEditing } from '../../../state/panelSnapshot';
import { useSettings } from '../../../device/settings';
import { Swatch } from './Swatch';
import { ToolButton } from './ToolButton';

const TIDES: Readonly<Record<string, string>> = {
  [USUAL_TIDE]: 'Usual',
  '#5E97A8': 'Deep',
  '#8FB39A': 'Weedy',
  '#A9A58C': 'Silt',
  '#6C86A6': 'Cold',
  '#9C8FA8': 'Evening',
};
const SOUNDS = { shore: 'Shore', wind: 'Wind', harbour: 'Harbour' } as const;

/** A course with parts of its sky changed; what is taken away is as usual again. */
export function withSky(course: Course, part: Partial<Sky>): Course {
  const next = { ...course.sky, ...part };
  for (const key of Object.keys(part) as (keyof Sky)[])
    if (part[key] === undefined) delete next[key];
  const { sky: _, ...rest } = course;
  return Object.keys(next).length > 0 ? { ...rest, sky: next } : (rest as Course);
}

function useSky() {
  const { course, edit } = useEditing();
  const change = (part: Partial<Sky>, merge?: string) =>
    edit((before) => withSky(before, part), merge);
  return { sky: course.sky ?? {}, change };
}

/** Time of day, how far one sees, the tide's colour and the sound of the place. */
export function SkyOptions() {
  const { sky, change } = useSky();
  return (
    <>
      <Stepper
        label="Hour"
        value={sky.hour ?? USUAL_HOUR}
        unit="h"
        step={0.5}
        min={5}
        max={21}
        onChange={(hour) => change({ hour: hour === USUAL_HOUR ? undefined : hour }, 'hour')}
        testID="sky-hour"
      />
      <Stepper
        label="Visibility"
        value={sky.sight ?? USUAL_SIGHT}
        unit="m"
        step={30}
        min={30}
        max={990}
        onChange={(sight) => change({ sight: sight === USUAL_SIGHT ? undefined : sight }, 'sight')}
      />
      <TideLine />
      {Object.entries(TIDES).map(([colour, label]) => (
        <Swatch
          key={colour}
          label={label}
          fill={colour}
          on={(sky.tide ?? USUAL_TIDE) === colour}
          onPress={() => change({ tide: colour === USUAL_TIDE ? undefined : colour })}
        />
      ))}
      <Heard />
    </>
  );
}

/** How high the tide stands: by itself, or as it was set. */
function TideLine() {
  const { course, edit } = useEditing();
  return (
    <>
      <Stepper
        label="Tide line"
        value={Math.round(10 * tideLine(course)) / 10}
        unit="m"
        step={0.5}
        min={-200}
        max={200}
        onChange={(tide) => edit((before) => ({ ...before, tide }), 'tide')}
        testID="tide-line"
      />
      <ToolButton
        icon="rotate-ccw"
        label="By itself"
        disabled={course.tide === undefined}
        onPress={() =>
          edit((before) => {
            const { tide: _, ...rest } = before;
            return rest as Course;
          })
        }
        testID="tide-own"
      />
    </>
  );
}

/** The sound of the place, and whether any is heard on this device. */
function Heard() {
  const { sky, change } = useSky();
  const { muted, set } = useSettings();
  return (
    <>
      <ToolButton
        icon="volume-x"
        label="Quiet"
        on={!sky.sound}
        onPress={() => change({ sound: undefined })}
      />
      {(Object.keys(SOUNDS) as (keyof typeof SOUNDS)[]).map((sound) => (
        <ToolButton
          key={sound}
          icon="volume-2"
          label={SOUNDS[sound]}
          on={sky.sound === sound}
          onPress={() => change({ sound })}
        />
      ))}
      <ToolButton
        icon={muted ? 'volume-x' : 'volume-1'}
        label={muted ? 'Sound off' : 'Sound on'}
        on={muted}
        onPress={() => set({ muted: !muted })}
      />
    </>
  );
}
