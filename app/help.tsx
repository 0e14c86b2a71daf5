export { HelpScreen as default } from '@/ui/help/HelpScreen';
