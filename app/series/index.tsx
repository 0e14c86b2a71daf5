export { SeriesListScreen as default } from '@/ui/series/SeriesListScreen';
