import { thinScenery } from '@/core/edit';
import { FAMILIES } from '@/core/pieces';
import { Stepper } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { useLayOf } from '../layStore';
import { FamilyCard } from './FamilyCard';
import { ToolButton } from './ToolButton';

const SCENERY = FAMILIES.filter(({ group }) => group === 'scenery');

const WAYS = [
  { way: 'stroke', icon: 'feather', label: 'Strew' },
  { way: 'area', icon: 'hexagon', label: 'Area' },
  { way: 'erase', icon: 'delete', label: 'Erase' },
] as const;

/** What is strewn, how thickly and how unlike, or a stroke that takes it away. */
export function ScatterOptions() {
  const { scattering, brush, strewing, set } = useLayOf('scattering', 'brush', 'strewing', 'set');
  const change = (part: Partial<typeof scattering>) =>
    set({ scattering: { ...scattering, ...part } });
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
          onPress={() => set({ strewing: way })}
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
          onChange={(v) => set({ brush: v / 2 })}
        />
      )}
      <Stepper
        label="To 10 m²"
        value={scattering.density}
        step={1}
        min={1}
        max={30}
        onChange={(density) => change({ density })}
      />
      <Stepper
        label="Sizes ±"
        value={scattering.sizeSpread}
        step={0.05}
        min={0}
        max={0.9}
        onChange={(sizeSpread) => change({ sizeSpread })}
      />
      <Stepper
        label="Turns ±"
        value={scattering.turnSpread}
        unit="°"
        step={15}
        min={0}
        max={180}
        onChange={(turnSpread) => change({ turnSpread })}
      />
      <Stepper
        label="Lean"
        value={scattering.lean}
        unit="°"
        step={2}
        min={0}
        max={45}
        onChange={(lean) => change({ lean })}
      />
      <Stepper
        label="Off the way"
        value={scattering.margin}
        unit="m"
        step={0.5}
        min={0}
        max={20}
        onChange={(margin) => change({ margin })}
      />
      <Stepper
        label="Seed"
        value={scattering.seed}
        step={1}
        min={0}
        max={9999}
        onChange={(seed) => change({ seed })}
      />
      {SCENERY.map((family) => (
        <FamilyCard
          key={family.id}
          family={family}
          small
          on={families.includes(family.id)}
          onPress={({ id }) =>
            change({
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
