// The body of a worker thread: what it can be asked for by name, with one thing to work on. Threads outlive
// their tasks, so each begins with nothing of the last one's.
import { forgetModels } from '@/core/pieces';
import * as difficulty from './difficulty';
import * as intake from './intake';
import * as pictures from './picture';
import * as previews from './preview';
import * as recordings from './recording';
import * as sentRuns from './sentRun';
import * as verifying from './verify';
import { BEHIND, standBehind } from './behind';

standBehind(Number(process.env[BEHIND]));

const afresh =
  <Task, Answer>(work: (task: Task) => Answer) =>
  (task: Task): Answer => {
    forgetModels();
    return work(task);
  };

/** Nothing: whoever asks hears that the thread is there. */
export const ready = (): void => {};
export const takeCourse = afresh(intake.takeCourse);
export const takeKit = afresh(intake.takeKit);
export const drawDocument = afresh(pictures.drawDocument);
export const showDocument = afresh(pictures.showDocument);
export const closeEdition = afresh(pictures.closeEdition);
export const drawPreview = afresh(previews.drawPreview);
export const drawKit = afresh(pictures.drawKit);
export const kindOfRecording = afresh(recordings.kindOfRecording);
export const readSentRun = afresh(sentRuns.readSentRun<sentRuns.SentRunKind>);
export const verify = afresh(verifying.verify);
export const readDifficulty = afresh(difficulty.readDifficulty);
