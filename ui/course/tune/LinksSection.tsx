import { View } from 'react-native';
import {
  addLink,
  moveEffect,
  changeEffect,
  changeLink,
  CUES_OF_ALL,
  CUES_OF_PIECES,
  EFFECTS_ON_PIECES,
  linksOf,
  newCue,
  newEffect,
  removeLink,
} from '@/core/assemble';
import {
  CUES,
  EFFECTS,
  SOUNDS,
  type CueKind,
  type Effect,
  type EffectKind,
  type Link,
  type Piece,
} from '@/core/course';
import { Button, Chip, Choices, Field, NumberField, Row, tell, Words } from '../../parts';
import { useView } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { useEditing, useShown } from '../../state/shown';
import { SPACE } from '../../theme';
import { Triple } from './Triple';
import { Flow, Section } from './Section';
import { useFirings } from './dry';
import { useTune } from './tuneStore';
import { CUE_WORDS, EFFECT_WORDS, linkWords, pieceName, SOUND_WORDS } from './words';

const openLink = (id: string | null) => useTune.getState().set({ link: id });

/** What follows from the chosen piece, and what is done to it. */
export function PieceLinks({ piece }: { piece: Piece }) {
  const { course, edit } = useEditing();
  const { from, to } = linksOf(course, piece.id);
  const open = useTune((s) => s.link);
  const link = course.links?.find(({ id }) => id === open);
  const begin = () => {
    const made = addLink(useCourse.getState().course, {
      cue: newCue('touched', [piece.id]),
      effects: [newEffect('message')],
    });
    edit(() => made.course);
    openLink(made.id);
  };
  if (link) return <LinkCard link={link} />;
  return (
    <View style={{ gap: SPACE.m }}>
      {from.length > 0 && (
        <Section title="Follows from it">
          <LinkRows links={from} />
        </Section>
      )}
      {to.length > 0 && (
        <Section title="Done to it">
          <LinkRows links={to} />
        </Section>
      )}
      {from.length + to.length === 0 && <Words tint="slate">No link begins or ends here.</Words>}
      <Button title="Begin a link here" icon="git-branch" onPress={begin} testID="begin-link" />
    </View>
  );
}

/** Every link of the course. */
export function AllLinks() {
  const { course, edit } = useEditing();
  const open = useTune((s) => s.link);
  const links = course.links ?? [];
  const link = links.find(({ id }) => id === open);
  if (link) return <LinkCard link={link} />;
  return (
    <View style={{ gap: SPACE.m }}>
      <Words tint="slate">
        {links.length === 0
          ? 'A link says what follows from something: a region touched, a beat, enough gathered.'
          : `${links.length} ${links.length === 1 ? 'link' : 'links'}, acting in this order.`}
      </Words>
      <LinkRows links={links} />
      <Button
        title="Begin a link"
        icon="git-branch"
        testID="begin-link"
        onPress={() => {
          const made = addLink(useCourse.getState().course, {
            cue: newCue('start'),
            effects: [newEffect('message')],
          });
          edit(() => made.course);
          openLink(made.id);
        }}
      />
    </View>
  );
}

function LinkRows({ links }: { links: readonly Link[] }) {
  const pieces = useShown((s) => s.course.pieces);
  const { lit } = useFirings();
  return (
    <View>
      {links.map((link) => (
        <Row
          key={link.id}
          on={lit.has(link.id)}
          onPress={() => {
            openLink(link.id);
            follow(link, pieces);
          }}
        >
          <Words style={{ flex: 1, paddingVertical: SPACE.s }}>{linkWords(link, pieces)}</Words>
          {lit.has(link.id) && <Words as="strong">Acts</Words>}
        </Row>
      ))}
    </View>
  );
}

/** Brings what a link does into the middle of the view. */
function follow({ cue, effects }: Link, pieces: readonly Piece[]): void {
  const [id] = [...effects.flatMap((effect) => effect.pieces ?? []), ...(cue.pieces ?? [])];
  const at = pieces.find((piece) => piece.id === id)?.at;
  if (at) useView.getState().look({ target: [at[0], at[1] + 1, at[2]] });
}

/** Gives a link's cue by hand, a moment after the one that is shown, and plays on. */
function tryLink(link: string): void {
  const { at, tried, set } = useTune.getState();
  const tick = Math.round(at * 120) + 12;
  set({ tried: [...tried, { link, tick }], playing: true });
}

const DELAYS = [
  { key: 'delay', label: 'Delay', unit: 's', step: 0.25, usual: 0 },
  { key: 'chance', label: 'How likely', unit: '', step: 0.1, usual: 1 },
  { key: 'rest', label: 'Rest before again', unit: 's', step: 0.5, usual: 0 },
] as const;

function LinkCard({ link }: { link: Link }) {
  const { course, edit } = useEditing();
  const { lit } = useFirings();
  const { cue, effects } = link;
  const change = (to: Parameters<typeof changeLink>[2], merge?: string) =>
    edit((now) => changeLink(now, link.id, to), merge);
  const pickCue = () =>
    useTune.getState().set({
      picking: {
        words: 'Touch the piece it watches',
        take: (id) =>
          edit((now) => {
            const old = now.links?.find((one) => one.id === link.id)?.cue ?? cue;
            const pieces = toggled(old.pieces, id);
            return changeLink(now, link.id, { cue: { ...old, pieces } });
          }),
      },
    });
  return (
    <View style={{ gap: SPACE.m }} testID="link-card">
      <Words as="strong">{linkWords(link, course.pieces)}</Words>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.m }}>
        <Button title="Try it now" icon="zap" testID="try-link" onPress={() => tryLink(link.id)} />
        {lit.has(link.id) && (
          <Words as="strong" testID="link-acts">
            It acts.
          </Words>
        )}
      </View>
      <Choices
        label="When"
        value={cue.kind}
        options={CUES.map((value) => ({ value, label: CUE_WORDS[value] }))}
        onChange={(kind: CueKind) => change({ cue: newCue(kind, cue.pieces) })}
      />
      {CUES_OF_PIECES.includes(cue.kind) && (
        <Pieces
          ids={cue.pieces}
          onPick={pickCue}
          onDrop={(id) => change({ cue: { ...cue, pieces: toggled(cue.pieces, id) } })}
        />
      )}
      {CUES_OF_ALL.includes(cue.kind) && (cue.pieces?.length ?? 0) > 1 && (
        <Chip
          role="checkbox"
          label="All of them, each at any time"
          on={cue.all === true}
          onPress={() => {
            const { all, ...rest } = cue;
            change({ cue: all ? rest : { ...cue, all: true } });
          }}
        />
      )}
      {cue.count !== undefined && (
        <NumberField
          label={cue.kind === 'beat' ? 'Beats' : 'How many'}
          unit=""
          step={1}
          value={cue.count}
          onChange={(count) => change({ cue: { ...cue, count: Math.round(count) } }, 'cue count')}
        />
      )}
      {cue.seconds !== undefined && (
        <NumberField
          label={cue.kind === 'time-left' ? 'Time left' : 'Time'}
          unit="s"
          step={0.25}
          value={cue.seconds}
          onChange={(seconds) => change({ cue: { ...cue, seconds } }, 'cue seconds')}
        />
      )}
      {effects.map((effect, i) => (
        <OneEffect key={i} link={link} effect={effect} index={i} />
      ))}
      <Button
        title="One more effect"
        icon="plus"
        onPress={() => change({ effects: [...effects, newEffect('sound')] })}
      />
      <View>
        {DELAYS.map(({ key, label, unit, step, usual }) => (
          <NumberField
            key={key}
            label={label}
            unit={unit}
            step={step}
            value={link[key] ?? usual}
            onChange={(value) =>
              change({ [key]: value === usual ? undefined : value }, `link ${key}`)
            }
          />
        ))}
      </View>
      <Flow>
        <Chip
          role="checkbox"
          label="Once in a run"
          on={link.once === true}
          onPress={() => change({ once: link.once ? undefined : true })}
        />
      </Flow>
      <Flow>
        <Button title="All links" icon="chevron-left" onPress={() => openLink(null)} />
        <Button
          title="Copy the link"
          icon="copy"
          onPress={() => {
            edit((now) => {
              const { id: _, ...alike } = structuredClone(link);
              const { course: next, id } = addLink(now, alike);
              openLink(id);
              return next;
            });
          }}
        />
        <Button
          title="Take the link away"
          icon="trash-2"
          kind="danger"
          onPress={() => {
            edit((now) => removeLink(now, link.id));
            openLink(null);
          }}
        />
      </Flow>
    </View>
  );
}

const toggled = (ids: readonly string[] | undefined, id: string): string[] | undefined => {
  const next = ids?.includes(id) ? ids.filter((one) => one !== id) : [...(ids ?? []), id];
  return next.length > 0 ? next : undefined;
};

function OneEffect({ link, effect, index }: { link: Link; effect: Effect; index: number }) {
  const edit = useCourse((s) => s.edit);
  const { kind } = effect;
  const set = (next: Effect, merge?: string) =>
    edit((now) => changeEffect(now, link.id, index, next), merge);
  const pick = () =>
    useTune.getState().set({
      picking: {
        words:
          kind === 'carry' ? 'Touch where the runner is carried to' : 'Touch what it is done to',
        take: (id) =>
          edit((now) => {
            const old = now.links?.find((one) => one.id === link.id)?.effects[index] ?? effect;
            const pieces = kind === 'carry' ? [id] : toggled(old.pieces, id);
            return changeEffect(now, link.id, index, { ...old, pieces });
          }),
      },
    });
  return (
    <Section title={index === 0 ? 'Then' : 'And'}>
      {link.effects.length > 1 && (
        <Flow>
          <Button
            title="Earlier"
            label={`Effect ${index + 1} earlier`}
            icon="arrow-up"
            disabled={index === 0}
            onPress={() => edit((now) => moveEffect(now, link.id, index, index - 1))}
          />
          <Button
            title="Later"
            label={`Effect ${index + 1} later`}
            icon="arrow-down"
            disabled={index === link.effects.length - 1}
            onPress={() => edit((now) => moveEffect(now, link.id, index, index + 1))}
          />
        </Flow>
      )}
      <Choices
        value={kind}
        options={EFFECTS.map((value) => ({ value, label: EFFECT_WORDS[value] }))}
        onChange={(next: EffectKind) => set(newEffect(next, effect.pieces))}
      />
      {EFFECTS_ON_PIECES.includes(kind) && (
        <Pieces
          ids={effect.pieces}
          onPick={pick}
          onDrop={(id) => set({ ...effect, pieces: toggled(effect.pieces, id) })}
        />
      )}
      {kind === 'message' && (
        <Field
          label="Words"
          value={effect.text ?? ''}
          maxLength={120}
          onChangeText={(text) => set({ ...effect, text }, `effect ${index} text`)}
        />
      )}
      {kind === 'sound' && (
        <Choices
          value={effect.sound ?? 'bell'}
          options={SOUNDS.map((value) => ({ value, label: SOUND_WORDS[value] }))}
          onChange={(sound) => set({ ...effect, sound })}
        />
      )}
      {kind === 'push' && (
        <Triple
          label="By"
          unit="m/s"
          value={effect.by ?? [0, 10, 0]}
          onChange={(by) => set({ ...effect, by }, `effect ${index} by`)}
        />
      )}
      <View>
        {effect.value !== undefined && (
          <NumberField
            label={VALUE_WORDS[kind] ?? 'Value'}
            unit={kind === 'tide' ? 'm' : kind === 'points' ? '' : '×'}
            step={kind === 'points' ? 1 : 0.1}
            value={effect.value}
            onChange={(value) => set({ ...effect, value }, `effect ${index} value`)}
          />
        )}
        {effect.seconds !== undefined && (
          <NumberField
            label={kind === 'tide' ? 'Takes' : 'For'}
            unit="s"
            step={0.5}
            value={effect.seconds}
            onChange={(seconds) => set({ ...effect, seconds }, `effect ${index} seconds`)}
          />
        )}
      </View>
      {link.effects.length > 1 && (
        <Button
          title="Take the effect away"
          icon="trash-2"
          onPress={() =>
            edit((now) =>
              changeLink(now, link.id, { effects: link.effects.filter((_, i) => i !== index) }),
            )
          }
        />
      )}
    </Section>
  );
}

const VALUE_WORDS: Partial<Record<EffectKind, string>> = {
  gravity: 'Gravity',
  speed: 'Pace',
  size: 'Size',
  tide: 'Tide line at',
  points: 'Points',
};

/** The pieces of a cue or effect, and a way to touch others. */
function Pieces({
  ids,
  onPick,
  onDrop,
}: {
  ids: readonly string[] | undefined;
  onPick: () => void;
  onDrop: (id: string) => void;
}) {
  const pieces = useShown((s) => s.course.pieces);
  return (
    <Flow>
      {(ids ?? []).map((id) => (
        <Chip
          key={id}
          role="checkbox"
          label={pieceName(pieces.find((piece) => piece.id === id))}
          on
          onPress={() => {
            onDrop(id);
            tell('Let go of it.');
          }}
        />
      ))}
      <Button
        title={ids?.length ? 'Touch more' : 'Touch a piece'}
        icon="crosshair"
        onPress={onPick}
        testID="pick-piece"
      />
    </Flow>
  );
}
