import { router } from 'expo-router';
import { View } from 'react-native';
import { BUILD_KEYS, RUN_KEYS, type KeyLine } from '../course/useBuildKeys';
import { Card, Page, Words } from '../parts';
import { SPACE, useColours } from '../theme';

const TOUCH: readonly KeyLine[] = [
  {
    keys: 'One finger',
    does: 'Does what is in hand: lays, chooses, drags what is chosen; else moves the view',
  },
  { keys: 'Two fingers', does: 'Move, pinch and turn the view, whatever is in hand' },
  { keys: 'Done', does: 'Stops laying; until then every tap lays another' },
  { keys: 'The ribbon', does: 'Touch or drag along it to go to that place of the course' },
];

/** Every key and touch, on one page. */
export function HelpScreen() {
  return (
    <Page
      title="Keys and touch"
      width={760}
      onBack={() => (router.canGoBack() ? router.back() : router.replace('/'))}
    >
      <KeyTable title="Touch" lines={TOUCH} />
      <KeyTable title="Building" lines={BUILD_KEYS} />
      <KeyTable title="Running" lines={RUN_KEYS} />
    </Page>
  );
}

function KeyTable({ title, lines }: { title: string; lines: readonly KeyLine[] }) {
  const colours = useColours();
  return (
    <View style={{ gap: SPACE.s }}>
      <Words as="heading">{title}</Words>
      <Card style={{ paddingHorizontal: SPACE.m }}>
        {lines.map(({ keys, does }, i) => (
          <View
            key={keys}
            style={{
              flexDirection: 'row',
              gap: SPACE.m,
              paddingVertical: SPACE.s + 2,
              borderTopWidth: i === 0 ? 0 : 1,
              borderColor: colours.line,
            }}
          >
            <Words as="smallStrong" style={{ width: 132 }}>
              {keys}
            </Words>
            <Words as="small" style={{ flex: 1 }}>
              {does}
            </Words>
          </View>
        ))}
      </Card>
    </View>
  );
}
