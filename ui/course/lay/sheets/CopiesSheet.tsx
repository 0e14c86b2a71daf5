import { useState } from 'react';
import { View } from 'react-native';
import { Button, Choices, NumberField, Sheet, Text } from '../../../parts';
import { useView } from '../../../scene';
import { useEditing } from '../../../state/panelSnapshot';
import { useLayOf } from '../../open/laying';
import { beginCopies, COPY_WAYS, type CopyFigures, type CopyKind, type CopyWay } from './copies';

const WAYS = (Object.keys(COPY_WAYS) as CopyKind[]).map((value) => ({
  value,
  label: COPY_WAYS[value].label,
}));

/** Copies of what is chosen: in steps, in a row, round a pivot, or mirrored. */
export function CopiesSheet({ onClose }: { onClose: () => void }) {
  const { course, choice, edit, choose } = useEditing();
  // A ring whose middle was moved over the scene is gone on with.
  const { pivot, showRing } = useLayOf('pivot', 'showRing');
  const [kind, setKind] = useState<CopyKind>(pivot ? 'ring' : 'steps');
  const [figures, setFigures] = useState<CopyFigures>(() => ({
    ...beginCopies(course, choice, useView.getState().target),
    ...pivot,
  }));
  const [error, setError] = useState<string | null>(null);
  const way: CopyWay = COPY_WAYS[kind];
  const change = (part: Partial<CopyFigures>) => {
    setError(null);
    setFigures({ ...figures, ...part });
  };
  const close = () => {
    showRing(null);
    onClose();
  };
  const copy = () => {
    try {
      const { course: next, copies } = way.make(course, choice, figures);
      edit(() => next);
      choose(way.chooseCopies ? copies : [...choice, ...copies]);
      close();
    } catch (problem) {
      if (!(problem instanceof RangeError)) throw problem;
      setError(problem.message);
    }
  };
  const moveMiddle = () => {
    const { px, pz, count, sweep, rise } = figures;
    showRing({ px, pz, count, sweep, rise });
    onClose();
  };
  return (
    <Sheet title="Copies" open onClose={close}>
      <Choices
        value={kind}
        options={WAYS}
        onChange={(next) => {
          setKind(next);
          change({ count: COPY_WAYS[next].count });
        }}
      />
      <WayFigures way={way} figures={figures} onChange={change} />
      {kind === 'ring' && (
        <Button
          title="Move the middle on the scene"
          icon="move"
          testID="copies-pivot"
          onPress={moveMiddle}
        />
      )}
      {error && (
        <Text as="small" tint="rust" accessibilityRole="alert">
          {error}
        </Text>
      )}
      <Button kind="main" title="Copy" icon="copy" onPress={copy} testID="copies-make" />
    </Sheet>
  );
}

interface WayFiguresProps {
  readonly way: CopyWay;
  readonly figures: CopyFigures;
  readonly onChange: (part: Partial<CopyFigures>) => void;
}

/** What one way of copying asks. */
function WayFigures({ way, figures, onChange }: WayFiguresProps) {
  const { axis } = way;
  return (
    <View>
      {axis && (
        <Choices
          label={axis.label}
          value={figures[axis.key]}
          options={axis.options.map((value) => ({ value, label: value }))}
          onChange={(value) => onChange({ [axis.key]: value })}
        />
      )}
      {way.fields.map(({ key, label, unit, step }) => (
        <NumberField
          key={key}
          label={typeof label === 'string' ? label : label(figures)}
          unit={unit}
          step={step}
          value={figures[key]}
          testID={`copies-${key}`}
          onChange={(value) => {
            if (!Number.isFinite(value)) throw new RangeError('That is not a number.');
            onChange({ [key]: value });
          }}
        />
      ))}
      {way.words && (
        <Text as="small" tint="slate">
          {way.words(figures)}
        </Text>
      )}
    </View>
  );
}
