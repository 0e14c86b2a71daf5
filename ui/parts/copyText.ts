import { showToast } from './Toast';

/** Copies text, and says so. */
export async function copyText(text: string, what: string): Promise<void> {
  try {
    await navigator.clipboard.writeText(text);
    showToast(`${what} copied.`);
  } catch {
    showToast(
      `This browser does not allow copying. The ${what.toLowerCase()} is shown to be marked by hand.`,
    );
  }
}
