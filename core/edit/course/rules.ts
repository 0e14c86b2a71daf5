import * as v from 'valibot';
import { CourseSchema, RunnerSettingsSchema, type Course } from '../../course';
import { gatherStarts } from './legs';

/** Settings of a runner that are numbers. */
export type RunnerDial =
  | 'topSpeed'
  | 'acceleration'
  | 'jumpHeight'
  | 'grip'
  | 'mass'
  | 'bounce'
  | 'brake'
  | 'turnRadius'
  | 'air'
  | 'strength'
  | 'friction';

/** The course for another runner; settings that say nothing are left out. */
export function setRunner(course: Course, { kind, settings }: Course['runner']): Course {
  const told = settings && Object.keys(settings).length > 0 ? { settings } : {};
  return { ...course, runner: { kind, ...told } };
}

/**
 * The course with one figure of its runner, or its gravity, set; left out when it is the usual one.
 * @param course the course as it is; it stays so
 * @param key which setting
 * @param value in the setting’s own unit
 * @param usual what it is when nothing is said: then it is left out
 * @throws RangeError in words when the figure is out of its range
 */
export function setRunnerSetting(
  course: Course,
  key: RunnerDial | 'gravity',
  value: number,
  usual: number,
): Course {
  const entries: Record<string, v.GenericSchema> = RunnerSettingsSchema.entries;
  const schema = key === 'gravity' ? CourseSchema.entries.gravity : entries[key];
  const checked = v.safeParse(schema, value);
  if (!checked.success) throw new RangeError(`The value ${checked.issues[0].message}.`);
  if (key === 'gravity') {
    const { gravity: _, ...rest } = course;
    return value === usual ? (rest as Course) : { ...course, gravity: value };
  }
  const { [key]: _, ...rest } = course.runner.settings ?? {};
  const settings = value === usual ? rest : { ...rest, [key]: value };
  return setRunner(course, { ...course.runner, settings });
}

/** What holds for a whole course and is set by itself. */
export type CourseRule =
  | 'starts'
  | 'order'
  | 'countdown'
  | 'limit'
  | 'legs'
  | 'camera'
  | 'picture'
  | 'tempo'
  | 'allowances';

/**
 * Sets something that holds for the whole course, or has it be as usual when nothing is given.
 * Where runs may begin at several starts, those that began legs without a goal become starts of one leg.
 * @throws RangeError in words when the document may not have the value
 */
export function setRule<K extends CourseRule>(course: Course, key: K, value: Course[K]): Course {
  const { [key]: _, ...rest } = course;
  if (value === undefined) return rest as Course;
  const checked = v.safeParse(CourseSchema.entries[key] as v.GenericSchema<Course[K]>, value);
  if (!checked.success) throw new RangeError(`The value ${checked.issues[0].message}.`);
  const set = { ...rest, [key]: checked.output } as Course;
  return key === 'starts' ? gatherStarts(set) : set;
}
