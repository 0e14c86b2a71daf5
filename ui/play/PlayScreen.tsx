import { copyOf, KIND_WORDS, type Course } from '@/core/course';
import { router } from 'expo-router';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import type { PublishedCourse } from '@/core/protocol';
import {
  ago,
  Button,
  Card,
  CoursePicture,
  Difficulty,
  CannotOpen,
  Fault,
  Loading,
  MakerLink,
  Origins,
  metres,
  Page,
  runTime,
  showToast,
  Text,
  triesWords,
} from '../parts';
import { isNotThere, type ApiError } from '../state/api';
import { useCreateCourse, usePublished } from '../state/queries';
import { SPACE, useColours, WIDE } from '../theme';
import { raceRun } from './besideRuns';
import { Editions } from './Editions';
import { Liked } from './Liked';
import { NoteToMaker } from './NoteToMaker';
import { Report } from './Report';
import { rivalOf } from './rival';
import { RunBeside } from './RunBeside';
import { ownTime, TimesSpread } from './TimesSpread';
import { WhereTriesEnd } from './WhereTriesEnd';
import {
  coursePage,
  playPage,
  playRunPage,
  COURSES_PAGE,
  EXPLORE_PAGE,
  goBack,
} from '../device/routes';

/** What a link opens: the course, its targets and best times, and one big button. */
export function PlayScreen({ slug, edition }: { slug: string; edition?: number }) {
  const { data, error, refetch } = usePublished(slug, edition);
  if (error) {
    const { status } = error as ApiError;
    if (status === 410) {
      return (
        <Fault
          title="The course was taken down"
          words={`${error.message} It may come back under the same link.`}
          action={{ label: 'Look at other courses', act: () => router.replace(EXPLORE_PAGE) }}
        />
      );
    }
    return isNotThere(error) ? (
      <Fault
        title="There is no such course"
        words="The link may be cut off. Ask for it again, or look at the courses of Lantern Week."
        action={{ label: 'To the courses', act: () => router.replace(COURSES_PAGE) }}
      />
    ) : (
      <CannotOpen what="The course" error={error} onRetry={() => void refetch()} />
    );
  }
  if (!data) return <Loading what="Opening the course" />;
  return <Published data={data} />;
}

const openPlay = (slug: string) => router.push(playPage(slug));

function Published({ data }: { data: PublishedCourse }) {
  const { width } = useWindowDimensions();
  const wide = width >= WIDE;
  return (
    <Page title={data.course.name} width={wide ? 960 : 560} onBack={() => goBack(COURSES_PAGE)}>
      <View style={[styles.columns, { flexDirection: wide ? 'row' : 'column' }]}>
        <View style={{ flex: wide ? 1.3 : undefined, gap: SPACE.m }}>
          <Introduction data={data} wide={wide} />
          {data.newest ? (
            <RunButtons data={data} />
          ) : (
            <Text tint="slate" testID="play-earlier">
              A newer edition has taken its place. This one can be read and taken apart, and its
              list stays as it is.
            </Text>
          )}
          <TakeApart data={data} />
        </View>
        <View style={{ flex: wide ? 1 : undefined, gap: SPACE.l }}>
          <Figures data={data} />
        </View>
      </View>
    </Page>
  );
}

/** What the course is: its picture, its maker, and what is said of it. */
function Introduction({ data, wide }: { data: PublishedCourse; wide: boolean }) {
  const colours = useColours();
  const { course, maker } = data;
  return (
    <>
      <Card style={{ overflow: 'hidden', backgroundColor: colours.shallows }}>
        <CoursePicture course={course} width={560} height={wide ? 300 : 190} />
      </Card>
      <Text as="small" tint="slate">
        by <MakerLink name={maker} /> · {KIND_WORDS[course.kind]} · {metres(data.length)}
      </Text>
      <Text as="small" tint="slate" testID="play-edition">
        {data.edition > 1 ? `Edition ${data.edition}, published` : 'Published'}{' '}
        {ago(data.published)} · {triesWords(data)}
      </Text>
      {course.description && <Text>{course.description}</Text>}
      {course.welcome && <Text>{course.welcome}</Text>}
      {course.origins && <Origins origins={course.origins} onOpen={openPlay} />}
      {!data.own && (
        <View style={styles.row}>
          <Liked data={data} />
        </View>
      )}
    </>
  );
}

/** Runs it, or runs it beside the player just ahead. */
function RunButtons({ data: { slug, best } }: { data: PublishedCourse }) {
  const rival = rivalOf(best);
  const run = () => router.push(playRunPage(slug));
  return (
    <View style={styles.row}>
      <Button
        kind="main"
        title="Run"
        icon="play"
        onPress={run}
        style={{ flex: 1.4 }}
        testID="play-run"
      />
      {rival && (
        <Button
          title={`Race ${rival.player}`}
          onPress={() => {
            raceRun(slug, rival.run!);
            run();
          }}
          style={{ flex: 1 }}
          testID="play-race"
        />
      )}
    </View>
  );
}

/** Copies it into one's own courses, where its maker allows that. */
function TakeApart({ data: { course, maker, slug, own } }: { data: PublishedCourse }) {
  const create = useCreateCourse();
  if (course.mayCopy === false && !own) {
    return (
      <Text as="small" tint="slate" testID="kept-whole">
        Its maker keeps it whole: it can be run, not taken apart.
      </Text>
    );
  }
  const copy = () =>
    create.mutate(copyOf(course, { name: course.name, maker, slug }), {
      onSuccess: ({ id }) => router.push(coursePage(id)),
      onError: (problem) => showToast(problem.message),
    });
  return <Button title="Take it apart as my own" busy={create.isPending} onPress={copy} />;
}

/** Its targets, its difficulty, its best times, and what else is known of its players. */
function Figures({ data }: { data: PublishedCourse }) {
  const { course, maker, slug } = data;
  return (
    <>
      {course.targets && <Targets targets={course.targets} />}
      {data.difficulty !== null && (
        <View style={[styles.row, { alignItems: 'center', gap: SPACE.m }]}>
          <Difficulty value={data.difficulty} />
          <Text as="small" tint="slate" style={{ flex: 1 }}>
            {`Of 10: found by trying the maker’s run with an unsteady hand.`}
          </Text>
        </View>
      )}
      <RunBeside data={data} />
      {data.spread && (
        <TimesSpread
          spread={data.spread}
          players={data.players}
          own={ownTime(data)}
          swift={course.targets?.swift}
        />
      )}
      {data.newest && <WhereTriesEnd data={data} />}
      <Editions data={data} />
      {!data.own && (
        <View style={[styles.row, { flexWrap: 'wrap' }]}>
          <NoteToMaker slug={slug} maker={maker} />
          <Report slug={slug} name={course.name} />
        </View>
      )}
    </>
  );
}

function Targets({ targets }: { targets: NonNullable<Course['targets']> }) {
  return (
    <View style={styles.row}>
      {(['steady', 'brisk', 'swift'] as const).map((key) => (
        <Card key={key} style={{ flex: 1, padding: SPACE.s, alignItems: 'center' }}>
          <Text as="small" tint="slate">
            {key[0].toUpperCase() + key.slice(1)}
          </Text>
          <Text as="figures">{runTime(targets[key])}</Text>
        </Card>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  columns: { gap: SPACE.l },
  row: { flexDirection: 'row', gap: SPACE.s },
});
