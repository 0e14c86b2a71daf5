import { useMemo } from 'react';
import { emptyCourse } from '@/core/course';
import { CannotOpen, Loading } from '../parts';
import { FinishActions } from '../run/finish/FinishActions';
import { usePales } from '../run/pale/usePales';
import { RunView } from '../run/RunView';
import { NextInSeries } from '../series/NextInSeries';
import { useSittings } from '../series/sitting';
import { usePublished, useSeries } from '../state/queries';
import { useReplay } from '../state/useBest';
import { useAttempts } from './attempts';
import { useBesideWishes } from './besideRuns';
import { HeldFinish } from './HeldFinish';
import { placedOf } from './placed';
import { SendRun } from './SendRun';
import { useTellEnds } from './useTellEnds';
import { playPage, goBack } from '../device/routes';

/** Until the course is there nothing is asked of it. */
const EMPTY = emptyCourse('');

/** A player's run of a published course. */
export function PlayRunScreen({ slug, series }: { slug: string; series?: string }) {
  const { data, error, refetch } = usePublished(slug);
  const { data: whole } = useSeries(series);
  const sitting = useSittings(({ now }) => (now?.series === series ? now : null));
  const spend = useSittings((state) => state.spend);
  const { attempts, seedOf, ready } = useAttempts(slug);
  const wishes = useBesideWishes(data);
  const pales = usePales(data?.course ?? EMPTY, wishes);
  // Of several, splits are held against the one that was wanted first.
  const [against] = wishes;
  const best = useReplay(data?.course ?? EMPTY, against?.run) ?? undefined;
  const first = useMemo(() => data?.best.map(placedOf), [data?.best]);
  const tell = useTellEnds(slug);
  const leave = () => goBack(playPage(slug));
  if (error && !data) {
    return <CannotOpen what="The course" error={error} onRetry={() => void refetch()} />;
  }
  if (!data || !ready) return <Loading what="Opening the course" />;
  return (
    <RunView
      course={data.course}
      seedOf={seedOf}
      pales={pales}
      best={best}
      leaveLabel="Leave the course"
      onLeave={leave}
      before={sitting?.spent}
      first={first}
      onEnd={({ run, result }) => {
        if (sitting) spend(result.time, result.finished ? slug : null);
        tell(attempts.of(run.seed)?.attempt, result);
      }}
      finished={(finished, again) => (
        <HeldFinish
          key={finished.run.seed}
          result={finished.result}
          against={best && { name: against.name, result: best }}
          course={data.course}
        >
          <SendRun
            slug={slug}
            finished={finished}
            attempt={attempts.of(finished.run.seed)?.attempt}
            refusal={attempts.refusal}
          />
          {whole && <NextInSeries series={whole} slug={slug} />}
          <FinishActions leaveLabel="Leave" onAgain={again} onLeave={leave} />
        </HeldFinish>
      )}
    />
  );
}
