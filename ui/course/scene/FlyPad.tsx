import { useEffect, useRef } from 'react';
import { View } from 'react-native';
import { Card, IconButton, type IconName } from '../../parts';
import { useView } from '../../scene';
import { SPACE } from '../../theme';

/** Time between two paces while a button is held, ms. */
const PACE = 90;

const WAYS: readonly (readonly {
  readonly icon: IconName;
  readonly label: string;
  readonly by: readonly [number, number, number];
}[])[] = [
  [
    { icon: 'chevrons-up', label: 'Fly up', by: [0, 1, 0] },
    { icon: 'arrow-up', label: 'Fly ahead', by: [0, 0, 1] },
    { icon: 'chevrons-down', label: 'Fly down', by: [0, -1, 0] },
  ],
  [
    { icon: 'arrow-left', label: 'Fly to the left', by: [-1, 0, 0] },
    { icon: 'arrow-down', label: 'Fly back', by: [0, 0, -1] },
    { icon: 'arrow-right', label: 'Fly to the right', by: [1, 0, 0] },
  ],
];

/** Moves the eye while a button is held, further the further off it looks from. */
export function FlyPad() {
  const flying = useRef<ReturnType<typeof setInterval> | undefined>(undefined);
  const stop = () => clearInterval(flying.current);
  useEffect(() => stop, []);
  const go = ([right, up, ahead]: readonly [number, number, number]) => {
    const { distance } = useView.getState();
    useView.setState({ speed: Math.max(0.3, distance / 30) });
    useView.getState().fly(right, up, ahead);
  };
  return (
    <Card style={{ alignSelf: 'flex-start', padding: 2 }}>
      {WAYS.map((row, i) => (
        <View key={i} style={{ flexDirection: 'row', gap: SPACE.xs }}>
          {row.map(({ icon, label, by }) => (
            <IconButton
              key={label}
              icon={icon}
              label={label}
              onPress={() => {}}
              onPressIn={() => {
                stop();
                go(by);
                flying.current = setInterval(() => go(by), PACE);
              }}
              onPressOut={stop}
            />
          ))}
        </View>
      ))}
    </Card>
  );
}
