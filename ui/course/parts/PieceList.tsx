import { useState } from 'react';
import { View } from 'react-native';
import type { Piece } from '@/core/course';
import { familyOf } from '@/core/pieces';
import { Button, SearchField, PiecePicture, ListItem, Text } from '../../parts';
import { glideTo } from '../../scene';
import { useEditing } from '../../state/panelSnapshot';
import { SPACE } from '../../theme';
import { useLay } from '../open/laying';
import { pieceName } from '../open/pieceWords';

/** Pieces that are listed at once, and from how many on they are also found by words. */
const [PAGE, FOUND_FROM] = [60, 12];

interface PieceListProps {
  readonly pieces: readonly Piece[];
  /** What is said of a piece under its name. */
  readonly tell: (piece: Piece) => string;
}

/** Pieces by name, to be chosen without finding them in the scene; found by words where they are many. */
export function PieceList({ pieces, tell }: PieceListProps) {
  const { choice, choose } = useEditing();
  const [words, setWords] = useState('');
  const [most, setMost] = useState(PAGE);
  const sought = words.trim().toLowerCase();
  const found = sought === '' ? pieces : pieces.filter((piece) => isNamed(piece, sought));
  const press = (piece: Piece) => {
    const { adding } = useLay.getState();
    const others = [...choice].filter((id) => id !== piece.id);
    choose(!adding ? [piece.id] : choice.has(piece.id) ? others : [...others, piece.id]);
    glideTo({ target: [piece.at[0], piece.at[1] + 1, piece.at[2]] });
  };
  return (
    <View>
      {pieces.length >= FOUND_FROM && (
        <SearchField
          name="Find a piece"
          placeholder="Find a piece"
          value={words}
          onChangeText={(next) => {
            setWords(next);
            setMost(PAGE);
          }}
          testID="pieces-find"
        />
      )}
      {found.slice(0, most).map((piece) => (
        <ListItem key={piece.id} on={choice.has(piece.id)} onPress={() => press(piece)}>
          <PiecePicture piece={piece} size={36} />
          <View style={{ flex: 1 }}>
            <Text>{pieceName(piece)}</Text>
            <Text as="small" tint="slate">
              {tell(piece)}
            </Text>
          </View>
        </ListItem>
      ))}
      {found.length === 0 && <Text tint="slate">No piece is called that.</Text>}
      {found.length > most && (
        <View style={{ paddingTop: SPACE.s }}>
          <Button
            title={`${Math.min(PAGE, found.length - most)} more of ${found.length}`}
            onPress={() => setMost(most + PAGE)}
          />
        </View>
      )}
    </View>
  );
}

const isNamed = (piece: Piece, words: string): boolean => {
  const { label, words: more } = familyOf(piece.family);
  return `${piece.name ?? ''} ${label} ${more} ${piece.id}`.toLowerCase().includes(words);
};
