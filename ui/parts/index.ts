export { Text } from './Text';
export { Button } from './Button';
export { IconButton } from './IconButton';
export { Field } from './Field';
export { FileButtons } from './FileButtons';
export { FormField } from './FormField';
export { Toggle } from './Toggle';
export { useFileChoice } from './useFileChoice';
export { SearchField } from './SearchField';
export { Progress } from './Progress';
export { FigureTable } from './FigureTable';
export { NumberField } from './NumberField';
export { Chip } from './Chip';
export { Choices } from './Choices';
export { Slider } from './Slider';
export { OneStop } from './OneStop';
export { OpeningBar, passableSpans } from './OpeningBar';
export { Difficulty } from './Difficulty';
export { ListItem } from './ListItem';
export { SortableList } from './SortableList';
export { Card } from './Card';
export { Sheet } from './Sheet';
export { askToast, showToast, Toasts } from './Toast';
export { CannotOpen, Fault, Loading } from './States';
export { CoursePicture, DrawnPicture, KitPicture, PiecePicture } from './Picture';
export { Feather, type IconName } from './icons';
export { type Phase, PHASES, Stones } from './Stones';
export { Page } from './Page';
export { Origins } from './Origins';
export { MakerLink } from './MakerLink';
export {
  ago,
  megabytes,
  metres,
  numberText,
  percent,
  runTime,
  shortNumber,
  timeGap,
  triesWords,
  weightText,
  resultText,
  strokesText,
} from './format';
export { Stepper } from './Stepper';
export { comesUp, swells } from './stir';
export { saveFile } from './saveFile';
export { copyText } from './copyText';
export { canHandOver, canHandOverFiles, handOver } from './handOver';
