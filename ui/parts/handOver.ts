import { showToast } from './Toast';

/** Whether the device has a share sheet that a page may open (Web Share, W3C). */
export const canHandOver = (): boolean => typeof navigator.share === 'function';

/** Whether that sheet takes files. */
export const canHandOverFiles = (): boolean =>
  canHandOver() &&
  typeof navigator.canShare === 'function' &&
  navigator.canShare({ files: [new File(['{}'], 'a.json', { type: 'application/json' })] });

/** Opens the device's share sheet; who closes it again has not failed. */
export async function handOver(what: {
  title: string;
  url?: string;
  files?: File[];
}): Promise<void> {
  try {
    await navigator.share(what);
  } catch (error) {
    if ((error as Error).name !== 'AbortError') showToast('The share sheet did not open.');
  }
}
