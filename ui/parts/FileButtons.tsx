import { Button } from './Button';
import { canHandOverFiles, handOver } from './handOver';
import { saveFile } from './saveFile';
import { showToast } from './Toast';

interface FileButtonsProps {
  readonly title: string;
  /** What the file is called. */
  readonly name: string;
  readonly text: () => string | Promise<string>;
  readonly testID?: string;
}

/** Saves a text as a file and, where the device has a share sheet that takes files, hands it to another app. */
export function FileButtons({ title, name, text, testID }: FileButtonsProps) {
  const made = (then: (text: string) => void) =>
    void Promise.resolve()
      .then(text)
      .then(then)
      .catch((error: Error) => showToast(error.message));
  return (
    <>
      <Button
        title={title}
        icon="download"
        onPress={() => made((whole) => saveFile(name, whole))}
        testID={testID}
      />
      {canHandOverFiles() && (
        <Button
          title="Hand the file on"
          icon="share-2"
          onPress={() =>
            made((whole) => {
              const file = new File([whole], name, { type: 'application/json' });
              void handOver({ title: name, files: [file] });
            })
          }
          testID={testID && `${testID}-over`}
        />
      )}
    </>
  );
}
