import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { sendWaiting } from './waitingRuns';

/** Time between looks whether what waits can be sent, ms. */
const EVERY = 20_000;

/** Sends in the runs that wait on this device: at once, when the network is back, and now and then. */
export function useWaitingRuns(): void {
  const client = useQueryClient();
  useEffect(() => {
    const send = () => void sendWaiting(client);
    send();
    const timer = setInterval(send, EVERY);
    window.addEventListener('online', send);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', send);
    };
  }, [client]);
}
