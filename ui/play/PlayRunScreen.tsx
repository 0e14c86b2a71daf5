import { router } from 'expo-router';
import { emptyCourse } from '@/core/course';
import { Fault, Loading } from '../parts';
import { FinishActions } from '../run/finish/FinishActions';
import { effortOf } from '../run/finish/effort';
import { FinishPanel } from '../run/finish/FinishPanel';
import { usePales } from '../run/pale/usePales';
import { RunView } from '../run/RunView';
import { NextInSeries } from '../series/NextInSeries';
import { useSittings } from '../series/sitting';
import { usePublished, useSeries } from '../state/queries';
import { useAttempts } from './attempts';
import { useBesideWishes } from './besideRuns';
import { SendRun } from './SendRun';

/** Until the course is there nothing is asked of it. */
const EMPTY = emptyCourse('');

/** A player's run of a published course. */
export function PlayRunScreen({ slug, series }: { slug: string; series?: string }) {
  const { data, error, refetch } = usePublished(slug);
  const { data: whole } = useSeries(series);
  const sitting = useSittings(({ now }) => (now?.series === series ? now : null));
  const spend = useSittings((state) => state.spend);
  const { attempts, seedOf, ready } = useAttempts(slug);
  const pales = usePales(data?.course ?? EMPTY, useBesideWishes(data));
  const leave = () =>
    router.canGoBack() ? router.back() : router.replace(`/play/${slug}` as never);
  if (error && !data) {
    return (
      <Fault
        title="The course cannot be opened"
        words={error.message}
        action={{ label: 'Try again', act: () => void refetch() }}
      />
    );
  }
  if (!data || !ready) return <Loading what="Opening the course" />;
  return (
    <RunView
      course={data.course}
      seedOf={seedOf}
      pales={pales}
      leaveLabel="Leave the course"
      onLeave={leave}
      before={sitting?.spent}
      onEnd={
        sitting ? ({ result }) => spend(result.time, result.finished ? slug : null) : undefined
      }
      finished={(finished, again) => (
        <FinishPanel
          result={finished.result}
          targets={data.course.targets}
          effort={effortOf(data.course)}
          kind={data.course.kind}
        >
          <SendRun
            key={finished.run.seed}
            slug={slug}
            finished={finished}
            attempt={attempts.of(finished.run.seed)?.attempt}
          />
          {whole && <NextInSeries series={whole} slug={slug} />}
          <FinishActions leaveLabel="Leave" onAgain={again} onLeave={leave} />
        </FinishPanel>
      )}
    />
  );
}
