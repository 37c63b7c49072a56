package org.opentrellis.core.export;

import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import java.util.Locale;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.measure.Arrival;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.measure.StepMeasures;
import org.opentrellis.core.sentence.Sentences;

/**
 * When messages go out to somebody who enters on the first day of a cohort, as a calendar (RFC
 * 5545): an event for each message that anybody gets, at the median of its arrivals.
 */
public final class SendPlan {
  private static final String NAME = "-//Open Trellis//Send plan//EN";

  private SendPlan() {}

  /**
   * @param measures of the run's journeys, by their numbers
   */
  public static String of(DryRun run, java.util.List<RunMeasures> measures) {
    Calendar calendar = new Calendar();
    calendar.add(new ProdId(NAME));
    calendar.add(ImmutableVersion.VERSION_2_0);
    calendar.add(ImmutableCalScale.GREGORIAN);
    for (Program program : run.world().programs()) {
      Sentences sentences = new Sentences(program.journey(), run.world().catalogue());
      RunMeasures of = measures.get(program.number());
      for (int i = 0; i < program.steps().size(); i++) {
        Step step = program.steps().get(i);
        StepMeasures figures = of.steps().get(i);
        if (step instanceof Step.Send && figures.arrival() != null) {
          calendar.add(event(run, program, sentences.brief(step), figures));
        }
      }
    }
    return Folding.fold(calendar.toString());
  }

  private static VEvent event(DryRun run, Program program, String name, StepMeasures figures) {
    Arrival arrival = java.util.Objects.requireNonNull(figures.arrival());
    ZonedDateTime at = moment(run, arrival);
    // An instant, not a time in a zone: that would need the zone's rules beside it (RFC 5545,
    // 3.6.5).
    VEvent event = new VEvent(at.toInstant(), java.time.Duration.ofMinutes(15), name);
    event.removeAll("DTSTAMP");
    event.add(new DtStamp(run.settings().start()));
    event.add(new Uid(program.number() + "-" + figures.id().replace('/', '.') + "@trellis.test"));
    event.add(
        new Description(
            String.format(
                Locale.ROOT,
                "%s, day %d of \u201c%s\u201d: %.0f%% of those who enter get here.",
                name,
                arrival.day(),
                program.journey().name(),
                100 * (figures.reach().value() == null ? 0 : figures.reach().value()))));
    return event;
  }

  private static ZonedDateTime moment(DryRun run, Arrival arrival) {
    LocalDate first = run.settings().start().atZone(run.zone()).toLocalDate();
    LocalTime time =
        arrival.localTime() == null ? LocalTime.NOON : LocalTime.parse(arrival.localTime());
    return first.plusDays(arrival.day()).atTime(time).atZone(run.zone());
  }
}
