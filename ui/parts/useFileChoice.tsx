import { useRef, type ReactElement } from 'react';

interface FileChoice {
  /** Types and endings that are offered. */
  readonly accept: string;
  readonly onFile: (file: File) => void;
  readonly testID?: string;
}

/** A file of the device's: the input to put into the page, and what asks for one. */
export function useFileChoice({ accept, onFile, testID }: FileChoice): {
  readonly input: ReactElement;
  readonly choose: () => void;
} {
  const element = useRef<HTMLInputElement>(null);
  return {
    choose: () => element.current?.click(),
    input: (
      <input
        ref={element}
        type="file"
        accept={accept}
        data-testid={testID}
        style={{ display: 'none' }}
        onChange={(event) => {
          const file = event.target.files?.[0];
          // So that the same one may be chosen again.
          event.target.value = '';
          if (file) onFile(file);
        }}
      />
    ),
  };
}
