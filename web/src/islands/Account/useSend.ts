import { useState } from 'react';
import { accessFault } from '../SignIn/words';

/** A form that sends once, says what went wrong, and says when it is done. */
export function useSend() {
  const [fault, setFault] = useState<string | null>(null);
  const send = async (action: () => Promise<void>) => {
    setFault(null);
    try {
      await action();
    } catch (error) {
      setFault(accessFault(error));
    }
  };
  return { fault, send };
}
