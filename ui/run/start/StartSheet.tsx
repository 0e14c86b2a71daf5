import { Button, Choices, Sheet } from '../../parts';

interface StartSheetProps {
  readonly open: boolean;
  readonly count: number;
  readonly chosen: number;
  readonly onChoose: (start: number) => void;
  readonly onGo: () => void;
  readonly onLeave: () => void;
}

/** Where a run begins, where the course leaves it to the player. */
export function StartSheet({ open, count, chosen, onChoose, onGo, onLeave }: StartSheetProps) {
  const options = Array.from({ length: count }, (_, i) => ({
    value: String(i),
    label: `Start ${i + 1}`,
  }));
  return (
    <Sheet title="Where do you begin?" open={open} onClose={onLeave}>
      <Choices
        value={String(chosen)}
        options={options}
        onChange={(value) => onChoose(Number(value))}
      />
      <Button kind="main" title="Begin here" icon="play" onPress={onGo} testID="begin-here" />
    </Sheet>
  );
}
