import { useQuery } from '@tanstack/react-query';
import { Image, View } from 'react-native';
import { Loading, Sheet, Text } from '../../parts';
import { SPACE } from '../../theme';

interface QrCodeProps {
  readonly link: string;
  readonly name: string;
  readonly open: boolean;
  readonly onClose: () => void;
}

/** A link as a picture that another phone's camera opens (ISO/IEC 18004). */
export function QrCode({ link, name, open, onClose }: QrCodeProps) {
  return (
    <Sheet title="Scan to run" open={open} onClose={onClose}>
      {open && <Drawn link={link} name={name} />}
    </Sheet>
  );
}

/** Dark on white, whatever the light: cameras want it so. */
function Drawn({ link, name }: Pick<QrCodeProps, 'link' | 'name'>) {
  const { data } = useQuery({
    queryKey: ['qr', link],
    queryFn: async () => {
      const { toString } = await import('qrcode');
      const svg = await toString(link, { type: 'svg', margin: 3, errorCorrectionLevel: 'M' });
      return `data:image/svg+xml,${encodeURIComponent(svg)}`;
    },
    staleTime: Infinity,
  });
  if (!data) return <Loading what="" />;
  return (
    <View style={{ alignItems: 'center', gap: SPACE.s }}>
      <Image
        accessibilityLabel={`Code of the link to ${name}`}
        testID="qr-code"
        source={{ uri: data }}
        style={{ width: 260, height: 260, backgroundColor: '#FFFFFF' }}
      />
      <Text as="smallFigures" selectable>
        {link}
      </Text>
    </View>
  );
}
