import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { Text } from '../../parts';
import { RADIUS, SPACE } from '../../theme';

/** Counts a run in, second by second. */
export function CountIn({ seconds, onGo }: { seconds: number; onGo: () => void }) {
  const [left, setLeft] = useState(seconds);
  const go = useRef(onGo);
  useEffect(() => {
    go.current = onGo;
  });
  useEffect(() => {
    if (left <= 0) {
      go.current();
      return;
    }
    const timer = setTimeout(() => setLeft(left - 1), 1000);
    return () => clearTimeout(timer);
  }, [left]);
  if (left <= 0) return null;
  return (
    <View
      pointerEvents="none"
      style={{ position: 'absolute', inset: 0, alignItems: 'center', justifyContent: 'center' }}
    >
      <View
        style={{
          paddingHorizontal: SPACE.xl,
          paddingVertical: SPACE.m,
          borderRadius: RADIUS.l,
          backgroundColor: 'rgba(251,249,244,0.9)',
        }}
      >
        <Text
          as="clock"
          testID="count-in"
          style={{ color: '#1F2A2E', fontSize: 64, lineHeight: 76 }}
        >
          {left}
        </Text>
      </View>
    </View>
  );
}
