import { useOpen } from '../openStore';
import { CopiesSheet } from './CopiesSheet';
import { FinderSheet } from './FinderSheet';
import { KeepSheet } from './KeepSheet';
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
  return null;
}
