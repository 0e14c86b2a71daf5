import { loadedScreen } from '@/ui/loadedScreens';

export default loadedScreen((screens) => screens.HelpScreen);
