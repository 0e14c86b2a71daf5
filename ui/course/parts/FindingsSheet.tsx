import type { Finding } from '@/core/check';
import { Sheet } from '../../parts';
import { AsideFindings } from './AsideFindings';
import { FindingList } from './FindingList';

interface FindingsSheetProps {
  readonly open: boolean;
  readonly findings: readonly Finding[];
  readonly onClose: () => void;
}

/** What the check found, and what of it was put aside. */
export function FindingsSheet({ open, findings, onClose }: FindingsSheetProps) {
  return (
    <Sheet title="Findings" open={open} onClose={onClose}>
      <FindingList findings={findings} onShown={onClose} />
      <AsideFindings onShown={onClose} />
    </Sheet>
  );
}
