import { Choices, Sheet } from '../parts';
import { useSettings } from '../device/settings';
import { Account } from './Account';
import { RecordingsKept } from './RecordingsKept';

/** Name and passphrase, to use one's courses elsewhere, and what is set for this device. */
export function AccountSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const { light, drawing, set } = useSettings();
  return (
    <Sheet title="Account and settings" open={open} onClose={onClose}>
      <Account />
      <RecordingsKept open={open} />
      <Choices
        label="Light"
        value={light}
        onChange={(value) => set({ light: value })}
        options={[
          { value: 'device', label: 'As the device' },
          { value: 'day', label: 'Day' },
          { value: 'night', label: 'Night' },
        ]}
      />
      <Choices
        label="Drawing"
        value={drawing}
        onChange={(value) => set({ drawing: value })}
        options={[
          { value: 'measured', label: 'As fast as it can' },
          { value: 'light', label: 'Light' },
          { value: 'full', label: 'Full' },
        ]}
      />
    </Sheet>
  );
}
