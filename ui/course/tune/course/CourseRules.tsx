import { View } from 'react-native';
import { setAllowance, setRule, type CourseRule } from '@/core/edit';
import type { Course } from '@/core/course';
import { KINDNESS } from '@/core/pieces';
import { Choices, NumberField, Text } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { SPACE } from '../../../theme';
import { Section } from '../../parts/Section';
import { Legs } from '../../parts/Legs';
import { TempoOptions } from './TempoOptions';
import { Camera } from './CameraRules';

/** What holds for the whole course while it is run. */
export function CourseRules() {
  const { course, edit } = useEditing();
  const set = <K extends CourseRule>(key: K, value: Course[K], merge?: string) =>
    edit((now) => setRule(now, key, value), merge);
  return (
    <View style={{ gap: SPACE.m }}>
      <Kindness />
      <Section title="Checkpoints">
        <Choices
          value={course.order ?? 'turn'}
          options={[
            { value: 'turn', label: 'Each in its turn' },
            { value: 'free', label: 'In any order' },
          ]}
          onChange={(order) => set('order', order === 'free' ? 'free' : undefined)}
        />
      </Section>
      <Section title="Starts">
        <Choices
          value={course.starts ?? 'one'}
          options={[
            { value: 'one', label: 'One on each leg' },
            { value: 'turn', label: 'Several, by turn' },
            { value: 'chance', label: 'Several, by chance' },
            { value: 'choice', label: 'The player chooses' },
          ]}
          onChange={(starts) => set('starts', starts === 'one' ? undefined : starts)}
        />
        {course.starts && (
          <Text as="small" tint="slate">
            {course.starts === 'chance'
              ? 'Each start comes once before any comes again. Lay more starts from the marks.'
              : 'Lay more starts from the marks; each begins the same leg.'}
          </Text>
        )}
      </Section>
      <Section title="Time">
        <NumberField
          label="Counted in for"
          unit="s"
          step={1}
          value={course.countdown ?? 0}
          onChange={(v) => set('countdown', v < 1 ? undefined : Math.round(v), 'countdown')}
        />
        <NumberField
          label="Time limit, 0 for none"
          unit="s"
          step={5}
          value={course.limit ?? 0}
          testID="time-limit"
          onChange={(v) => set('limit', v <= 0 ? undefined : v, 'limit')}
        />
      </Section>
      <Legs />
      <Camera />
      <TempoOptions />
    </View>
  );
}

const KIND_LABELS = { kind: 'Kind', exact: 'Exact', strict: 'Strict' } as const;
type Kind = keyof typeof KIND_LABELS;
const ALLOWED_ROLES = [
  { role: 'hazard', label: 'Hazards' },
  { role: 'pickup', label: 'Pickups' },
  { role: 'solid', label: 'Ground' },
] as const;

function Kindness() {
  const { course, edit } = useEditing();
  const roles = course.allowances?.roles;
  const now = (Object.keys(KIND_LABELS) as Kind[]).find(
    (kind) => JSON.stringify(KINDNESS[kind]?.roles ?? {}) === JSON.stringify(roles ?? {}),
  );
  return (
    <Section title="Allowances by role">
      <Choices
        value={now ?? ('own' as Kind | 'own')}
        options={(Object.keys(KIND_LABELS) as Kind[]).map((value) => ({
          value: value as Kind | 'own',
          label: KIND_LABELS[value],
        }))}
        onChange={(kind) =>
          edit((before) => {
            const families = before.allowances?.families;
            const told = KINDNESS[kind as Kind];
            const next = { ...told, ...(families ? { families } : {}) };
            return setRule(before, 'allowances', Object.keys(next).length > 0 ? next : undefined);
          })
        }
      />
      <View>
        {ALLOWED_ROLES.map(({ role, label }) => (
          <NumberField
            key={role}
            label={`${label} larger by`}
            unit="cm"
            step={1}
            value={roles?.[role]?.value ?? 0}
            onChange={(value) =>
              edit(
                (before) =>
                  setAllowance(before, { role }, value === 0 ? undefined : { by: 'cm', value }),
                `allowance ${role}`,
              )
            }
          />
        ))}
      </View>
    </Section>
  );
}
