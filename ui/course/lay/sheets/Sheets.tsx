import { useOpen } from '../../open/openStore';
import { AlignSheet } from './AlignSheet';
import { CopiesSheet } from './CopiesSheet';
import { FinderSheet } from './FinderSheet';
import { HiddenSheet } from './HiddenSheet';
import { KeepSheet } from './KeepSheet';
import { LookSheet } from './LookSheet';
import { PiecesSheet } from './PiecesSheet';
import { SnapSheet } from './SnapSheet';
import { SwapSheet } from './SwapSheet';

/** Whatever sheet a command has opened. */
export function Sheets() {
  const { sheet, close } = useOpen();
  if (sheet === 'finder') return <FinderSheet onClose={close} />;
  if (sheet === 'snap') return <SnapSheet onClose={close} />;
  if (sheet === 'copies') return <CopiesSheet onClose={close} />;
  if (sheet === 'swap') return <SwapSheet onClose={close} />;
  if (sheet === 'kit') return <KeepSheet onClose={close} />;
  if (sheet === 'align') return <AlignSheet onClose={close} />;
  if (sheet === 'look') return <LookSheet onClose={close} />;
  if (sheet === 'pieces') return <PiecesSheet onClose={close} />;
  if (sheet === 'hidden') return <HiddenSheet onClose={close} />;
  return null;
}
