import { thinScenery } from '@/core/edit';
import { FAMILIES } from '@/core/pieces';
import { Stepper } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { useLayOf } from '../../open/laying';
import { FamilyCard } from './FamilyCard';
import { ToolButton } from './ToolButton';

const SCENERY = FAMILIES.filter(({ group }) => group === 'scenery');

const WAYS = [
  { way: 'stroke', icon: 'feather', label: 'Strew' },
  { way: 'area', icon: 'hexagon', label: 'Area' },
  { way: 'erase', icon: 'delete', label: 'Erase' },
] as const;

const FIGURES = [
  { key: 'density', label: 'Pieces per 10 m²', step: 1, min: 1, max: 30 },
  { key: 'sizeSpread', label: 'Sizes ±', step: 0.05, min: 0, max: 0.9 },
  { key: 'turnSpread', label: 'Turns ±', unit: '°', step: 15, min: 0, max: 180 },
  { key: 'lean', label: 'Lean', unit: '°', step: 2, min: 0, max: 45 },
  { key: 'margin', label: 'Off the way', unit: 'm', step: 0.5, min: 0, max: 20 },
  { key: 'seed', label: 'Seed', step: 1, min: 0, max: 9999 },
] as const;

/** What is strewn, how thickly and how unlike, or a stroke that takes it away. */
export function ScatterOptions() {
  const { scattering, brush, strewing, changeScattering, setBrush, setStrewing } = useLayOf(
    'scattering',
    'brush',
    'strewing',
    'changeScattering',
    'setBrush',
    'setStrewing',
  );
  const { choice, edit } = useEditing();
  const { families } = scattering;
  return (
    <>
      {WAYS.map(({ way, icon, label }) => (
        <ToolButton
          key={way}
          icon={icon}
          label={label}
          on={strewing === way}
          onPress={() => setStrewing(way)}
          testID={`scatter-${way}`}
        />
      ))}
      <ToolButton
        icon="filter"
        label="Thin by half"
        onPress={() => edit((course) => thinScenery(course, choice))}
        testID="scatter-thin"
      />
      {strewing !== 'area' && (
        <Stepper
          label="Width"
          value={2 * brush}
          unit="m"
          step={1}
          min={1}
          max={40}
          onChange={(v) => setBrush(v / 2)}
        />
      )}
      {FIGURES.map(({ key, ...figure }) => (
        <Stepper
          key={key}
          {...figure}
          value={scattering[key]}
          onChange={(value) => changeScattering({ [key]: value })}
        />
      ))}
      {SCENERY.map((family) => (
        <FamilyCard
          key={family.id}
          family={family}
          small
          on={families.includes(family.id)}
          onPress={({ id }) =>
            changeScattering({
              families: families.includes(id)
                ? families.filter((f) => f !== id)
                : [...families, id],
            })
          }
        />
      ))}
    </>
  );
}
