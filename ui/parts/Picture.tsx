import { memo, useMemo } from 'react';
import { Image, View, type DimensionValue, type ImageStyle, type StyleProp } from 'react-native';
import type { Course, Piece } from '@/core/course';
import type { Kit } from '@/core/edit';
import { formKey } from '@/core/pieces';
import { drawCourse, drawPiece, drawPieces, toSvg } from '@/core/formats';
import { DAY } from '../theme';
import { Feather, type IconName } from './icons';
import { REGION_ICONS } from './regionIcons';

const asUri = (svg: string): string => `data:image/svg+xml,${encodeURIComponent(svg)}`;

interface CoursePictureProps {
  readonly course: Course;
  readonly width: number;
  readonly height: number;
  readonly style?: StyleProp<ImageStyle>;
}

/** A drawn picture of a course, from its real geometry. */
export const CoursePicture = memo(function CoursePicture({
  course,
  width,
  height,
  style,
}: CoursePictureProps) {
  const uri = useMemo(
    () => asUri(toSvg(drawCourse(course), width, height, 14, 0.4)),
    [course, width, height],
  );
  return (
    <Image
      accessibilityLabel={`Picture of ${course.name}`}
      source={{ uri }}
      // One that its maker has taken fills its frame; the usual one stands in it whole.
      resizeMode={course.picture ? 'cover' : 'contain'}
      style={[{ width: '100%', height }, style]}
    />
  );
});

/** Width of the server's pictures as a part of their height. */
const ASPECT = 360 / 132;

/** A picture the server has drawn, as wide as it may be. */
export function DrawnPicture({
  uri,
  of,
  width = '100%',
}: {
  readonly uri: string;
  readonly of: string;
  readonly width?: DimensionValue;
}) {
  return (
    <Image
      accessibilityLabel={`Picture of ${of}`}
      source={{ uri }}
      style={{ width, aspectRatio: ASPECT }}
    />
  );
}

/** A picture of one piece, from its real geometry; a region has a sign of what it does on it. */
export const PiecePicture = memo(function PiecePicture({
  piece,
  size,
}: {
  piece: Pick<Piece, 'family' | 'size' | 'params' | 'look'>;
  size: number;
}) {
  // Moved or chosen anew, a piece of the same form has the same picture.
  const form = formKey(piece);
  const uri = useMemo(
    () => asUri(toSvg(drawPiece(piece), size, size, 3, 0.9)),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [form, size],
  );
  const icon = REGION_ICONS[piece.family];
  return (
    <View style={{ width: size, height: size, alignItems: 'center', justifyContent: 'center' }}>
      <Image source={{ uri }} style={{ position: 'absolute', width: size, height: size }} />
      {icon && <RegionSign icon={icon} size={size} />}
    </View>
  );
});

function RegionSign({ icon, size }: { icon: IconName; size: number }) {
  const { card, ink } = DAY;
  const across = Math.round(size * 0.56);
  return (
    <View
      style={{
        width: across,
        height: across,
        borderRadius: across / 2,
        alignItems: 'center',
        justifyContent: 'center',
        backgroundColor: card,
      }}
    >
      <Feather name={icon} size={Math.round(size * 0.38)} color={ink} />
    </View>
  );
}

/** A picture of an assembly of the kit. */
export const KitPicture = memo(function KitPicture({
  kit,
  width,
  height,
}: {
  kit: Kit;
  width: number;
  height: number;
}) {
  const uri = useMemo(
    () => asUri(toSvg(drawPieces(kit.pieces), width, height, 3, 0.6)),
    [kit, width, height],
  );
  return <Image source={{ uri }} style={{ width, height }} />;
});
