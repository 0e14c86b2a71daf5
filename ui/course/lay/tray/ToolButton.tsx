import { IconButton, type IconName } from '../../../parts';
import { useColours } from '../../../theme';

interface ToolButtonProps {
  readonly icon: IconName;
  readonly label: string;
  readonly onPress: () => void;
  readonly on?: boolean;
  readonly danger?: boolean;
  readonly disabled?: boolean;
  readonly hint?: string;
  readonly testID?: string;
}

/** A button of a tool: its picture over its word, in a frame. */
export function ToolButton(props: ToolButtonProps) {
  const colours = useColours();
  return (
    <IconButton
      {...props}
      labelled
      style={{
        minWidth: 68,
        minHeight: 64,
        paddingHorizontal: 6,
        borderWidth: 1,
        borderColor: props.on ? colours.moss : colours.line,
        backgroundColor: props.on ? colours.mossSoft : colours.card,
      }}
    />
  );
}
