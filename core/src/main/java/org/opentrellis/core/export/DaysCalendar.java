package org.opentrellis.core.export;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Transp;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableTransp;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/** What goes out on some days, as a calendar (RFC 5545). */
public final class DaysCalendar {
  private static final String NAME = "-//Open Trellis//Days ahead//EN";
  private static final Duration SHOWN = Duration.ofMinutes(30);

  private DaysCalendar() {}

  /** Something that stands in a calendar. */
  public sealed interface Entry permits Moment, Day {
    /** By which it is the same when it is read again. */
    String id();

    String summary();

    String description();
  }

  /** Something at a moment. */
  public record Moment(String id, Instant at, String summary, String description)
      implements Entry {}

  /** Something on a whole day, which leaves it free. */
  public record Day(String id, LocalDate day, String summary, String description)
      implements Entry {}

  /**
   * @param stamp when this was so
   */
  public static String of(List<Entry> entries, Instant stamp) {
    Calendar calendar = new Calendar();
    calendar.add(new ProdId(NAME));
    calendar.add(ImmutableVersion.VERSION_2_0);
    calendar.add(ImmutableCalScale.GREGORIAN);
    for (Entry entry : entries) {
      VEvent event =
          switch (entry) {
            case Moment moment -> new VEvent(moment.at(), SHOWN, moment.summary());
            case Day day -> new VEvent(day.day(), day.summary());
          };
      event.removeAll("DTSTAMP");
      event.add(new DtStamp(stamp));
      event.add(new Uid(entry.id() + "@trellis.test"));
      event.add(new Description(entry.description()));
      if (entry instanceof Day) {
        event.add((Transp) ImmutableTransp.TRANSPARENT);
      }
      calendar.add(event);
    }
    return Folding.fold(calendar.toString());
  }
}
