import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { toJsonSchema } from '@valibot/to-json-schema';
import { CourseSchema } from '@/core/course';

/** Writes the course document's JSON Schema, from the same description the application reads by. */
const schema = toJsonSchema(CourseSchema, { errorMode: 'ignore' });
const file = path.join(__dirname, '..', 'docs', 'course.schema.json');
writeFileSync(file, `${JSON.stringify({ title: 'Stone Hop course', ...schema }, null, 2)}\n`);
