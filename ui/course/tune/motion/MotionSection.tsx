import { View } from 'react-native';
import {
  addMotion,
  attachMisfit,
  attachTo,
  changeMotion,
  NEW_MOTIONS,
  removeMotion,
  setBehaviour,
} from '@/core/edit';
import type { AxisName, MotionKind, Piece, PieceMotion } from '@/core/course';
import { hasOwnMotion } from '@/core/pieces';
import { USUAL_RANGE } from '@/core/run';
import { Button, Chip, Choices, NumberField, Text } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { SPACE } from '../../../theme';
import { MotionChart } from './MotionChart';
import { MoverOpenings } from './MoverOpenings';
import { PathOptions } from './PathOptions';
import { PosesOptions } from './PosesOptions';
import { Throwing } from './Throwing';
import { Flow, Section } from '../../parts/Section';
import { Triple } from '../figures/Triple';
import { useTune } from '../../open/tuneStore';
import { MOTION_WORDS, pieceName } from '../../open/pieceWords';
import { tryEdit } from '../../open/tryEdit';

interface Dial {
  readonly key: string;
  readonly label: string;
  readonly unit: string;
  readonly step: number;
  readonly usual?: number;
}
const PERIOD: Dial = { key: 'period', label: 'Period', unit: 's', step: 0.1 };
const PHASE: Dial = { key: 'phase', label: 'Start offset', unit: '', step: 0.05, usual: 0 };
const DIALS: Partial<Record<MotionKind, readonly Dial[]>> = {
  swing: [{ key: 'angle', label: 'To each side', unit: '°', step: 5 }, PERIOD, PHASE],
  spin: [PERIOD, PHASE],
  circle: [{ key: 'radius', label: 'Radius', unit: 'm', step: 0.25 }, PERIOD, PHASE],
  hop: [
    { key: 'height', label: 'Height', unit: 'm', step: 0.1 },
    { key: 'along', label: 'Along', unit: 'm', step: 0.25, usual: 0 },
    PERIOD,
    PHASE,
  ],
  bob: [{ key: 'height', label: 'Height', unit: 'm', step: 0.1 }, PERIOD, PHASE],
  chase: [
    { key: 'range', label: 'Range', unit: 'm', step: 0.5 },
    { key: 'speed', label: 'Speed', unit: 'm/s', step: 0.25 },
  ],
  arrive: [{ key: 'distance', label: 'Begins within', unit: 'm', step: 0.5 }],
};
/** Offsets told as three figures. */
const TRIPLES: Partial<
  Record<MotionKind, readonly { key: string; label: string; unit: string }[]>
> = {
  swing: [{ key: 'pivot', label: 'Pivot', unit: 'm' }],
  spin: [{ key: 'pivot', label: 'Pivot', unit: 'm' }],
  drift: [
    { key: 'velocity', label: 'Speed', unit: 'm/s' },
    { key: 'spread', label: 'By chance ±', unit: 'm/s' },
  ],
  arrive: [
    { key: 'from', label: 'Comes from', unit: 'm' },
    { key: 'turn', label: 'Turned by', unit: '°' },
  ],
};

/** How the chosen piece moves: its motions, when it wakes, what it goes along with, what it throws. */
export function MotionSection({ piece }: { piece: Piece }) {
  const { choice, edit } = useEditing();
  const motions = piece.motion ?? [];
  const moves = motions.length > 0 || hasOwnMotion(piece);
  const kinds = Object.keys(NEW_MOTIONS) as MotionKind[];
  return (
    <View style={{ gap: SPACE.m }}>
      {motions.map((motion, index) => (
        <Section key={index} title={MOTION_WORDS[motion.kind]}>
          <OneMotion piece={piece} motion={motion} index={index} />
          <Button
            title={`Take the ${MOTION_WORDS[motion.kind].toLowerCase()} away`}
            icon="trash-2"
            onPress={() => edit((now) => removeMotion(now, choice, index))}
          />
        </Section>
      ))}
      {motions.length < 3 && (
        <Section title={motions.length === 0 ? 'Add a motion' : 'Add another'}>
          <Flow>
            {kinds.map((kind) => (
              <Chip
                key={kind}
                role="tab"
                on={false}
                label={MOTION_WORDS[kind]}
                onPress={() => {
                  const added = tryEdit((now) => addMotion(now, choice, kind));
                  if (added && kind === 'path') useTune.getState().set({ drawingPath: true });
                }}
              />
            ))}
          </Flow>
        </Section>
      )}
      {moves && <MotionChart piece={piece} />}
      {moves && <MoverOpenings key={piece.id} piece={piece} />}
      {(moves || piece.thrower) && <Waking piece={piece} />}
      <Attaching piece={piece} />
      <Throwing piece={piece} />
    </View>
  );
}

function OneMotion({ piece, motion, index }: { piece: Piece; motion: PieceMotion; index: number }) {
  const { choice, edit } = useEditing();
  const change = (to: Record<string, unknown>, merge?: string) =>
    edit((now) => changeMotion(now, choice, index, to), merge);
  if (motion.kind === 'path') return <PathOptions piece={piece} motion={motion} index={index} />;
  if (motion.kind === 'poses') return <PosesOptions piece={piece} motion={motion} index={index} />;
  const told = motion as unknown as Record<string, unknown>;
  const beats = told.beats === true;
  return (
    <View style={{ gap: SPACE.s }}>
      {'axis' in motion && (
        <Choices
          label="About"
          value={motion.axis as AxisName}
          options={(['x', 'y', 'z'] as const).map((value) => ({ value, label: value }))}
          onChange={(axis) => change({ axis })}
        />
      )}
      <View>
        {(DIALS[motion.kind] ?? []).map(({ key, label, unit, step, usual }) => (
          <NumberField
            key={key}
            label={label}
            unit={key === 'period' && beats ? 'beats' : unit}
            step={step}
            value={Number(told[key] ?? usual ?? 0)}
            testID={`motion-${key}`}
            onChange={(value) =>
              change({ [key]: value === usual ? undefined : value }, `motion ${index} ${key}`)
            }
          />
        ))}
      </View>
      {(TRIPLES[motion.kind] ?? []).map(({ key, label, unit }) => (
        <Triple
          key={key}
          label={label}
          unit={unit}
          value={(told[key] as number[] | undefined) ?? [0, 0, 0]}
          onChange={(value) => change({ [key]: value }, `motion ${index} ${key}`)}
        />
      ))}
      <Flow>
        {'period' in motion && (
          <Chip
            role="checkbox"
            label="Counted in beats"
            on={beats}
            onPress={() => change({ beats: beats ? undefined : true })}
          />
        )}
        {(motion.kind === 'spin' || motion.kind === 'circle') && (
          <Chip
            role="checkbox"
            label="The other way round"
            on={motion.reverse === true}
            onPress={() => change({ reverse: motion.reverse ? undefined : true })}
          />
        )}
        {motion.kind === 'swing' && (
          <Chip
            role="checkbox"
            label="At an even pace"
            on={motion.ease === 'even'}
            onPress={() => change({ ease: motion.ease === 'even' ? undefined : 'even' })}
          />
        )}
        {motion.kind === 'chase' && (
          <Chip
            role="checkbox"
            label="Goes home out of range"
            on={motion.home === true}
            onPress={() => change({ home: motion.home ? undefined : true })}
          />
        )}
      </Flow>
    </View>
  );
}

function Waking({ piece }: { piece: Piece }) {
  const { choice, edit } = useEditing();
  const { wake } = piece;
  const set = (next: Piece['wake'], merge?: string) =>
    edit((now) => setBehaviour(now, choice, 'wake', next), merge);
  return (
    <Section title="Range">
      <Choices
        label="Wakes"
        value={wake?.by ?? 'always'}
        options={[
          { value: 'always', label: 'Always awake' },
          { value: 'near', label: 'When the runner is near' },
          { value: 'touch', label: 'When touched' },
        ]}
        onChange={(by) =>
          set(
            by === 'always'
              ? undefined
              : { ...wake, by, ...(by === 'near' ? { range: wake?.range ?? USUAL_RANGE } : {}) },
          )
        }
      />
      {wake?.by === 'near' && (
        <NumberField
          label="Wakes within"
          unit="m"
          step={0.5}
          value={wake.range ?? USUAL_RANGE}
          testID="wake-range"
          onChange={(range) => set({ ...wake, range }, 'wake range')}
        />
      )}
      {wake && (
        <>
          <Chip
            role="checkbox"
            label="Sleeps again when left behind"
            on={wake.sleep !== undefined}
            onPress={() => {
              const { sleep, ...rest } = wake;
              set(sleep === undefined ? { ...wake, sleep: (wake.range ?? USUAL_RANGE) + 4 } : rest);
            }}
          />
          {wake.sleep !== undefined && (
            <NumberField
              label="Sleeps beyond"
              unit="m"
              step={0.5}
              value={wake.sleep}
              onChange={(sleep) => set({ ...wake, sleep }, 'wake sleep')}
            />
          )}
        </>
      )}
    </Section>
  );
}

function Attaching({ piece }: { piece: Piece }) {
  const { course, choice, edit } = useEditing();
  const host = course.pieces.find(({ id }) => id === piece.attach);
  const pick = () =>
    useTune.getState().set({
      picking: {
        words: 'Touch the piece it goes along with',
        misfit: (now, one) => attachMisfit(now, choice, one),
        take: (id) => edit((now) => attachTo(now, choice, id)),
      },
    });
  return (
    <Section title="Goes along with">
      <Text tint={piece.attach ? undefined : 'slate'}>
        {piece.attach ? pieceName(host) : 'Nothing: it moves by itself.'}
      </Text>
      <Flow>
        <Button
          title={piece.attach ? 'Another piece' : 'Attach to a piece'}
          icon="link"
          onPress={pick}
        />
        {piece.attach && (
          <Button
            title="Let go"
            onPress={() => edit((now) => setBehaviour(now, choice, 'attach', undefined))}
          />
        )}
      </Flow>
    </Section>
  );
}
