import { Text } from '../../../parts';
import { buildCommands } from '../../open/chosenEdits';
import { ToolButton } from './ToolButton';

/** What the eraser does, and the way back. */
export function EraseOptions() {
  return (
    <>
      <Text as="small" style={{ maxWidth: 200 }}>
        Touch a piece, or draw over several, to take them away.
      </Text>
      <ToolButton icon="trash-2" label="Chosen" onPress={buildCommands.remove} />
    </>
  );
}
