import { RunRibbon } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { useDebouncedCourse } from '../../state/debouncedCourse';
import { useShownRuns } from '../../state/shownRuns';
import { useRunLines } from '../runs/useRunLines';

/** The lines of runs over the course, where any are wanted. */
export function RunLines() {
  const wanted = useShownRuns((s) => s.lastLines || s.lines.length > 0);
  return wanted ? <Lines /> : null;
}

function Lines() {
  const id = useCourse((s) => s.id);
  const marks = useShownRuns((s) => s.marks);
  const lines = useRunLines(id ?? '', useDebouncedCourse());
  return lines.map((line, i) => <RunRibbon key={i} line={line} marks={marks} />);
}
