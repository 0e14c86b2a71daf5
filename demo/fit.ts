// npx tsx demo/fit.ts: fits the round of Salt Pan Slalom to its sketch anew, and keeps it beside the course.
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { fitRound } from './courses/saltPanRound';

const file = path.join(__dirname, 'courses', 'saltPanTrack.json');
writeFileSync(file, `${JSON.stringify(fitRound(), null, 1)}\n`);
