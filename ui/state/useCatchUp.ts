import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { sendEdits } from './waitingEdits';
import { sendWaiting } from './waitingRuns';

/** Time between looks whether what waits can be sent, ms. */
const EVERY = 20_000;

/** Sends the edits and runs that wait on this device: at once, when the network is back, and now and then. */
export function useCatchUp(): void {
  const client = useQueryClient();
  useEffect(() => {
    const send = () => {
      void sendEdits(client);
      void sendWaiting(client);
    };
    send();
    const timer = setInterval(send, EVERY);
    window.addEventListener('online', send);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', send);
    };
  }, [client]);
}
