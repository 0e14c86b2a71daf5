export { Root as default } from '@/ui/Root';
