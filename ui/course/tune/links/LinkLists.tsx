import { View } from 'react-native';
import { addLink, linksOf, newCue, newEffect, pairOf } from '@/core/edit';
import type { Link, Piece } from '@/core/course';
import { Button, ListItem, Text } from '../../../parts';
import { useView } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { useEditing, usePanelSnapshot } from '../../../state/panelSnapshot';
import { SPACE } from '../../../theme';
import { useFirings } from '../../open/preview/dry';
import { Section } from '../../parts/Section';
import { useTune } from '../../open/tuneStore';
import { linkWords } from './linkWords';
import { LinkCard } from './LinkCard';
import { openLink } from './openLink';
import { Partners } from './Partners';

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
      {pairOf(piece) !== null && <Partners piece={piece} />}
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
      {from.length + to.length === 0 && <Text tint="slate">No link begins or ends here.</Text>}
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
      <Text tint="slate">
        {links.length === 0
          ? 'A link says what follows from something: a region touched, a beat, enough gathered.'
          : `${links.length} ${links.length === 1 ? 'link' : 'links'}, acting in this order.`}
      </Text>
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
  const pieces = usePanelSnapshot((s) => s.course.pieces);
  const { lit } = useFirings();
  return (
    <View>
      {links.map((link) => (
        <ListItem
          key={link.id}
          on={lit.has(link.id)}
          onPress={() => {
            openLink(link.id);
            follow(link, pieces);
          }}
        >
          <Text style={{ flex: 1, paddingVertical: SPACE.s }}>{linkWords(link, pieces)}</Text>
          {lit.has(link.id) && <Text as="strong">Acts</Text>}
        </ListItem>
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
