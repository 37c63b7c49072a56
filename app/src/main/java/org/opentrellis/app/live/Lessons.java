package org.opentrellis.app.live;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.computing.ComputingRoom;
import org.opentrellis.app.computing.Lane;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.journeys.KeptJourney;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.calibrate.Calibration;
import org.opentrellis.core.calibrate.Calibrator;
import org.opentrellis.core.calibrate.Lesson;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.measure.Share;
import org.opentrellis.core.measure.ShareWords;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.springframework.stereotype.Service;

/** Measures what is assumed of a journey's people by those who really came to it. */
@Service
class Lessons {
  private static final int PEOPLE = 20_000;
  private static final int DAYS = 60;

  private final LivedJourneys lived;
  private final Journeys journeys;
  private final ComputingRoom room;

  Lessons(LivedJourneys lived, Journeys journeys, ComputingRoom room) {
    this.lived = lived;
    this.journeys = journeys;
    this.room = room;
  }

  /**
   * @throws ProblemsFound if nobody has come yet, or too few to measure anything
   */
  LessonView of(long journey) {
    LivedJourney of = lived.of(journey);
    KeptJourney kept = journeys.find(journey);
    return ComputingRoom.await(room.begin(Lane.USUAL, effort -> learn(of, kept, effort)).result());
  }

  private static LessonView learn(LivedJourney of, KeptJourney kept, Effort effort) {
    List<Step.Send> sends = Strands.expand(of.plan(), of.catalogue()).sends();
    Behaviour before = kept.behaviour();
    try {
      Calibration fitted =
          Calibrator.fit(of.run().lived(of.people()).history(), Instant.ofEpochSecond(of.until()));
      Behaviour now = fitted.intoSteps(before, sends);
      List<Lesson> lessons = Lesson.of(before, fitted, sends);
      return new LessonView(
          fitted.sentences(),
          lessons.stream().map(LessonView.LessonLine::of).toList(),
          Lesson.verdict(lessons),
          goal(goal(of, before, effort), goal(of, now, effort)),
          Documents.write(now));
    } catch (Refused tooLittle) {
      throw ProblemsFound.refused("", tooLittle);
    }
  }

  private static @Nullable Share goal(LivedJourney of, Behaviour behaviour, Effort effort) {
    CohortPlan cohort = CohortPlan.of(PEOPLE, behaviour.groups());
    DryRun run =
        new DryRun(
            of.plan(), of.catalogue(), behaviour, CohortSettings.of(cohort, 1, of.start(), DAYS));
    return RunMeasures.of(run.run(effort)).goal();
  }

  private static LessonView.@Nullable GoalThen goal(@Nullable Share before, @Nullable Share now) {
    return before == null || now == null
        ? null
        : new LessonView.GoalThen(
            before,
            now,
            "With what happened, the goal is %s of those who enter within %d days, not %s, in dry runs of %,d people."
                .formatted(ShareWords.percent(now), DAYS, ShareWords.percent(before), PEOPLE));
  }
}
