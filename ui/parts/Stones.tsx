import { FIRST_STOP } from '../device/oneStop';
import { Pressable, View } from 'react-native';
import Svg, { Circle, Path } from 'react-native-svg';
import { useColours } from '../theme';
import { OneStop } from './OneStop';
import { Text } from './Text';

export const PHASES = ['plan', 'lay', 'tune', 'run', 'share'] as const;
export type Phase = (typeof PHASES)[number];

const NAMES: Record<Phase, string> = {
  plan: 'Plan',
  lay: 'Lay',
  tune: 'Tune',
  run: 'Run',
  share: 'Share',
};

/** Tops of five flat stones, each its own; 56 wide, 26 high. */
const TOPS = [
  'M2 8 L16 3 L40 2 L54 9 L50 18 L26 21 L6 19 Z',
  'M3 10 L14 2 L38 3 L53 8 L54 16 L34 21 L8 18 Z',
  'M2 9 L20 3 L44 2 L54 8 L49 19 L22 20 L5 17 Z',
  'M3 9 L12 3 L36 2 L54 7 L52 17 L30 20 L9 19 Z',
  'M2 10 L18 2 L42 3 L54 9 L47 18 L24 21 L7 18 Z',
];

interface StonesProps {
  readonly current: Phase;
  readonly done: ReadonlySet<Phase>;
  readonly onChoose: (phase: Phase) => void;
}

/** The five phases of work as stepping stones: the current one raised and mossy. */
export function Stones({ current, done, onChoose }: StonesProps) {
  const colours = useColours();
  return (
    <View style={{ height: 78, backgroundColor: colours.paper }}>
      <Svg
        width="100%"
        height={44}
        viewBox="0 0 400 44"
        preserveAspectRatio="none"
        style={{ position: 'absolute', bottom: 0 }}
      >
        <Path d="M0 6 Q 60 1 130 6 T 260 5 T 400 6 V44 H0 Z" fill={colours.shallows} />
        <Path
          d="M0 14 Q 80 9 160 14 T 400 12"
          stroke={colours.paper}
          strokeWidth={2}
          fill="none"
          opacity={0.8}
        />
      </Svg>
      <OneStop as="tablist" style={{ flexDirection: 'row', flex: 1 }}>
        {PHASES.map((phase, i) => {
          const on = phase === current;
          return (
            <Pressable
              key={phase}
              accessibilityRole="tab"
              aria-selected={on}
              {...(on ? FIRST_STOP : {})}
              accessibilityLabel={NAMES[phase]}
              testID={`phase-${phase}`}
              onPress={() => onChoose(phase)}
              style={({ pressed }) => ({
                opacity: pressed ? 0.6 : 1,
                flex: 1,
                alignItems: 'center',
                justifyContent: 'flex-end',
                paddingBottom: 8,
              })}
            >
              <Svg width={58} height={34} viewBox="0 0 56 32" style={{ marginBottom: on ? 5 : 1 }}>
                <Path
                  d={TOPS[i]}
                  fill={on ? colours.mossShade : colours.stoneShade}
                  transform="translate(0 8)"
                />
                <Path
                  d={TOPS[i]}
                  fill={on ? colours.moss : colours.stone}
                  stroke={colours.ink}
                  strokeWidth={1.2}
                  strokeLinejoin="round"
                  transform="translate(0 1)"
                />
                {on && (
                  <>
                    <Circle cx={16} cy={10} r={2.6} fill={colours.shallows} opacity={0.55} />
                    <Circle cx={36} cy={14} r={3.2} fill={colours.shallows} opacity={0.45} />
                    <Circle cx={42} cy={8} r={1.8} fill={colours.shallows} opacity={0.55} />
                  </>
                )}
                {!on && done.has(phase) && (
                  <Path
                    d="M21 12 L26 17 L35 7"
                    stroke={colours.moss}
                    strokeWidth={3}
                    fill="none"
                    strokeLinecap="round"
                    strokeLinejoin="round"
                  />
                )}
              </Svg>
              <Text as={on ? 'smallStrong' : 'small'}>{NAMES[phase]}</Text>
            </Pressable>
          );
        })}
      </OneStop>
    </View>
  );
}
