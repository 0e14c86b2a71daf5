import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';

/** A course of Lantern Week on Hollin Skerry. */
export interface DemoCourse {
  readonly slug: string;
  /** Who made it. */
  readonly maker: string;
  readonly course: Course;
  /** Places to run over, in order, for those who drive it. */
  readonly route: readonly Vec3[];
}
