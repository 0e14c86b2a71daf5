import {
  chosenOf,
  chooseAlike,
  chooseAll,
  chooseInRegion,
  chooseOthers,
  type Likeness,
} from '@/core/edit';
import { unionBounds, type Vec2 } from '@/core/geometry';
import { pieceBounds } from '@/core/pieces';
import { Text } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { hintFor } from '../../commands/keys';
import { ToolButton } from './ToolButton';

/** Ways to choose many. */
export function ChooseOptions() {
  const { course, choice, choose } = useEditing();
  const some = choice.size > 0;
  const alike = (likeness: Likeness) => () => choose(chooseAlike(course, choice, likeness));
  /** Everything that stands over the same piece of the map as what is chosen. */
  const standing = () => {
    const chosen = chosenOf(course, choice);
    const { low, high } = unionBounds(chosen.map(pieceBounds));
    const region: Vec2[] = [
      [low[0], low[2]],
      [high[0], low[2]],
      [high[0], high[2]],
      [low[0], high[2]],
    ];
    choose([...choice, ...chooseInRegion(course, region)]);
  };
  return (
    <>
      <Text as="small" tint="slate" style={{ maxWidth: 150 }}>
        {some
          ? `${choice.size} ${choice.size === 1 ? 'piece' : 'pieces'} chosen. Draw round more, or tap one.`
          : 'Draw round pieces with a finger, or tap them one by one.'}
      </Text>
      <ToolButton
        icon="maximize"
        label="All"
        hint={hintFor('choose.all')}
        onPress={() => choose(chooseAll(course))}
      />
      <ToolButton icon="x" label="None" disabled={!some} onPress={() => choose([])} />
      <ToolButton
        icon="repeat"
        label="Others"
        hint={hintFor('choose.others')}
        onPress={() => choose(chooseOthers(course, choice))}
      />
      <ToolButton
        icon="copy"
        label="Same"
        disabled={!some}
        hint={hintFor('choose.family')}
        onPress={alike('family')}
      />
      <ToolButton icon="grid" label="Kind" disabled={!some} onPress={alike('group')} />
      <ToolButton icon="flag" label="Role" disabled={!some} onPress={alike('role')} />
      <ToolButton icon="droplet" label="Paint" disabled={!some} onPress={alike('look')} />
      <ToolButton icon="layers" label="Layer" disabled={!some} onPress={alike('layer')} />
      <ToolButton icon="square" label="Region" disabled={!some} onPress={standing} />
    </>
  );
}
