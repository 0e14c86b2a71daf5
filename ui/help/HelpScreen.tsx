import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { COMMANDS, type Command } from '../course/commands/list';
import { keysFor, keysOf, shownKeys, useKeys } from '../course/commands/keys';
import { Button, Card, IconButton, Page, showToast, Text } from '../parts';
import { SPACE, TARGET, useColours } from '../theme';
import { KeyButton } from './KeyButton';
import { PAD_KEYS, RUN_KEYS, TOUCHES, type KeyLine } from './lines';
import { RunKeyTable } from './RunKeyTable';
import { COURSES_PAGE, goBack } from '../device/routes';

const GROUPS: readonly { readonly id: Command['group']; readonly title: string }[] = [
  { id: 'Go', title: 'Going about' },
  { id: 'View', title: 'Looking' },
  { id: 'Lay', title: 'Laying' },
  { id: 'Snap', title: 'Snapping' },
  { id: 'Choose', title: 'Choosing' },
  { id: 'Chosen', title: 'What is chosen' },
  { id: 'Tools', title: 'Tools' },
];

/** Every key and touch, on one page; keys can be changed by pressing others. */
export function HelpScreen() {
  const changed = useKeys((s) => s.changed);
  const [waiting, setWaiting] = useState<string | null>(null);
  useEffect(() => {
    if (!waiting) return;
    const down = (event: KeyboardEvent) => {
      if (/^(Alt|Control|Shift|Meta)$/.test(event.key)) return;
      event.preventDefault();
      event.stopPropagation();
      setWaiting(null);
      if (event.key === 'Escape') return;
      const keys = keysOf(event);
      const other = useKeys.getState().assign(waiting, keys);
      if (other === 'fixed') showToast('Esc stays what it is.');
      else if (other)
        showToast(`${shownKeys(keys)} is taken by “${other.label}”. Nothing was changed.`);
    };
    window.addEventListener('keydown', down, true);
    return () => window.removeEventListener('keydown', down, true);
  }, [waiting]);
  return (
    <Page title="Keys and touch" width={760} onBack={() => goBack(COURSES_PAGE)}>
      <KeyTable title="Touch" lines={TOUCHES} />
      <Text tint="slate">
        Touch a key below and press another to change it. Esc leaves it as it was.
      </Text>
      {Object.keys(changed).length > 0 && (
        <Button title="All keys as they were" onPress={() => useKeys.getState().reset()} />
      )}
      {GROUPS.map(({ id, title }) => (
        <View key={id} style={{ gap: SPACE.s }}>
          <Text as="heading">{title}</Text>
          <Card style={{ paddingHorizontal: SPACE.m }}>
            {COMMANDS.filter(({ group }) => group === id).map((command, i) => (
              <CommandLine
                key={command.id}
                command={command}
                first={i === 0}
                changed={command.id in changed}
                waiting={waiting === command.id}
                onChange={() => setWaiting(waiting === command.id ? null : command.id)}
              />
            ))}
          </Card>
        </View>
      ))}
      <RunKeyTable />
      <KeyTable title="Of each runner" lines={RUN_KEYS} />
      <KeyTable title="On a gamepad" lines={PAD_KEYS} />
    </Page>
  );
}

interface CommandLineProps {
  readonly command: Command;
  readonly first: boolean;
  readonly changed: boolean;
  readonly waiting: boolean;
  readonly onChange: () => void;
}

function CommandLine({ command, first, changed, waiting, onChange }: CommandLineProps) {
  const colours = useColours();
  const keys = shownKeys(keysFor(command));
  return (
    <View
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: SPACE.m,
        minHeight: TARGET + 6,
        borderTopWidth: first ? 0 : 1,
        borderColor: colours.line,
      }}
    >
      <KeyButton
        words={waiting ? 'Press keys' : keys || 'none'}
        does={command.label}
        waiting={waiting}
        none={!keys}
        onPress={onChange}
        testID={`keys-${command.id}`}
      />
      <Text as="small" style={{ flex: 1 }}>
        {command.label}
      </Text>
      {changed && (
        <IconButton
          icon="rotate-ccw"
          label={`Usual keys for ${command.label}`}
          onPress={() => useKeys.getState().reset(command.id)}
        />
      )}
    </View>
  );
}

function KeyTable({ title, lines }: { title: string; lines: readonly KeyLine[] }) {
  const colours = useColours();
  return (
    <View style={{ gap: SPACE.s }}>
      <Text as="heading">{title}</Text>
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
            <Text as="smallStrong" style={{ width: 132 }}>
              {keys}
            </Text>
            <Text as="small" style={{ flex: 1 }}>
              {does}
            </Text>
          </View>
        ))}
      </Card>
    </View>
  );
}
