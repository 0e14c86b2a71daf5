export { CoursesScreen as default } from '@/ui/courses/CoursesScreen';
