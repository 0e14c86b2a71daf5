import { FAMILIES } from '@/core/pieces';
import { useView } from '../../../scene';
import { useLayOf } from '../../open/laying';
import { pickFloor } from '../../tools/fillTool';
import { FamilyCard } from './FamilyCard';
import { ToolButton } from './ToolButton';

const FLOORS = FAMILIES.filter(({ group, drawn }) => group === 'floors' && !drawn);

/** Filling, carving and flooding, and with which floor. */
export function FillOptions() {
  const { fill, fillRound, floor, setFill, setFloor, toggleFillRound } = useLayOf(
    'fill',
    'fillRound',
    'floor',
    'setFill',
    'setFloor',
    'toggleFillRound',
  );
  return (
    <>
      <ToolButton
        icon="plus-square"
        label="Fill"
        on={fill === 'fill'}
        onPress={() => setFill('fill')}
        testID="fill-fill"
      />
      <ToolButton
        icon="minus-square"
        label="Carve"
        on={fill === 'carve'}
        onPress={() => setFill('carve')}
        testID="fill-carve"
      />
      <ToolButton
        icon="droplet"
        label="Flood"
        on={fill === 'flood'}
        onPress={() => setFill('flood')}
        testID="fill-flood"
      />
      <ToolButton
        icon="pen-tool"
        label="Any outline"
        on={fillRound}
        onPress={() => toggleFillRound()}
        testID="fill-round"
      />
      <ToolButton
        icon="crosshair"
        label="Pick"
        onPress={() => {
          const { width, height } = useView.getState();
          pickFloor(width / 2, height / 2);
        }}
      />
      {FLOORS.map((family) => (
        <FamilyCard
          key={family.id}
          family={family}
          small
          on={floor.family === family.id}
          onPress={() => setFloor({ family: family.id, at: [0, 0, 0] })}
        />
      ))}
    </>
  );
}
