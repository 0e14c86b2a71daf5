import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import type { Course } from '@/core/course';
import { TICKS_PER_SECOND } from '@/core/motion';
import { courseHash, type RunFrom } from '@/core/run';
import { showToast } from '../../parts';
import type { Beginning, LiveRun } from '../../run/liveRun';
import type { Trying } from '../../run/runProps';
import { useView } from '../../scene';
import { CARRY_WORDS, dropMoment, fromMoment, type KeptMoment } from '../../state/moments';
import { usePausedRun } from '../../state/pausedRun';
import { useMoments } from '../../state/useMoments';
import { useKnownRuns } from '../runs/useKnownRuns';
import { beginPlaces, momentName } from '../runs/beginPlaces';
import { useKeepMoment } from '../open/useKeepMoment';
import { meantWay } from '../open/useMeantWay';
import { spotInView } from './spotInView';
import { KEYS } from '../../state/keys';

/** The moment a run is at, as it is kept. */
export function momentOf(course: Course, live: LiveRun, at: number): KeptMoment {
  const { state, world, beginning } = live;
  const last = world.checkpoints[state.checkpoint];
  const { keys, state: stood } = live.stand();
  const seconds = state.tick / TICKS_PER_SECOND;
  return {
    at,
    name: momentName(course, last ? world.pieces[last.piece].id : null, seconds),
    tick: state.tick,
    place: [state.x, state.y, state.z],
    run: live.repeatable
      ? live.recorder.run(courseHash(course), seconds, live.seed, live.start)
      : null,
    ...(beginning.kind === 'place' ? { from: beginning.at } : {}),
    ...(beginning.kind === 'moment' && beginning.from ? { from: beginning.from } : {}),
    keys,
    state: stood,
  };
}

/** What a maker can try in a run of their course: where it begins, moments kept, a run paused to change something. */
export function useTrying(
  id: string,
  course: Course,
  ready: boolean,
  place: RunFrom | undefined,
): { readonly beginning: Beginning | undefined; readonly trying: Trying } {
  const client = useQueryClient();
  const { runs } = useKnownRuns(id, course);
  const moments = useMoments(id);
  const [beginning, begin] = useState<Beginning | undefined>(place && { kind: 'place', at: place });
  const [way] = useState(() => meantWay(course).way);
  const [spot] = useState(() => spotInView(course, useView.getState(), way));
  const keep = useKeepMoment(id);
  usePausedOffered(id, course, ready, begin);
  const trying = useMemo((): Trying => {
    const again = () => client.invalidateQueries({ queryKey: KEYS.moments(id) });
    return {
      places: () =>
        beginPlaces({ course, runs: runs ?? [], moments, spot, way }, (at) => {
          void dropMoment(id, at).then(again);
        }),
      onBegin: begin,
      onKeep: (live) => keep(momentOf(course, live, Date.now())),
    };
  }, [client, course, id, keep, moments, runs, spot, way]);
  return { beginning, trying };
}

/** Offers to go on from where a run was paused to change something, or says why it cannot. */
function usePausedOffered(
  id: string,
  course: Course,
  ready: boolean,
  begin: (beginning: Beginning) => void,
): void {
  useEffect(() => {
    if (!ready) return;
    const { course: of, moment, atOnce } = usePausedRun.getState();
    usePausedRun.setState({ course: '', moment: null, atOnce: false });
    if (of !== id || !moment) return;
    const how = fromMoment(course, moment);
    if (typeof how === 'string') {
      showToast(`The run you paused cannot go on. ${CARRY_WORDS[how]}`);
    } else if (atOnce) begin(how);
    else {
      showToast(`You paused ${moment.name.toLowerCase()}.`, {
        label: 'Keep going from here',
        act: () => begin(how),
      });
    }
    // Offered once, on coming to the run.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [ready]);
}
