package org.opentrellis.app.live;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.people.KnownPeople;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.live.Deed;
import org.opentrellis.core.live.Editions;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.sentence.Style;
import org.opentrellis.core.story.LogWords;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Lines of the log as sentences. */
@Component
@Transactional(readOnly = true)
class LogReading {
  private static final String NOBODY = "Somebody who was forgotten";

  private final OpenJourneys open;
  private final Journeys journeys;
  private final KnownPeople people;

  LogReading(OpenJourneys open, Journeys journeys, KnownPeople people) {
    this.open = open;
    this.journeys = journeys;
    this.people = people;
  }

  List<GlasshouseView.LoggedLine> lines(List<HappeningRow> rows) {
    Map<Long, String> who =
        people.called(rows.stream().map(HappeningRow::personId).distinct().toList());
    Words words = words();
    return rows.stream()
        .filter(row -> !words.isEndOfRule(row))
        .map(
            row ->
                new GlasshouseView.LoggedLine(
                    row.at(),
                    row.personId(),
                    who.getOrDefault(row.personId(), NOBODY),
                    row.journeyId(),
                    row.journeyId() == null ? null : words.name(row.journeyId()),
                    row.step(),
                    words.say(row)))
        .toList();
  }

  /** Speaks of journeys by the names that they have now. */
  static final class Words {
    private final Editions editions;
    private final List<Journeys.Named> named;
    private final Map<Long, String> names;
    private final Set<Long> rules;
    private final Map<String, LogWords> plans = new HashMap<>();

    /**
     * @param rules the numbers of those that are rules
     */
    Words(Editions editions, List<Journeys.Named> named, Set<Long> rules) {
      this.editions = editions;
      this.named = named;
      this.rules = rules;
      this.names =
          named.stream().collect(Collectors.toMap(Journeys.Named::id, Journeys.Named::name));
    }

    private boolean isOfRule(HappeningRow row) {
      return row.journeyId() != null && rules.contains(row.journeyId());
    }

    /** Nobody goes through a rule: it acts, and that is all. */
    boolean isEndOfRule(HappeningRow row) {
      return isOfRule(row) && row.kind().equals(Deed.Kind.FINISHED.name());
    }

    String name(long journey) {
      return names.getOrDefault(journey, "an archived journey");
    }

    String say(HappeningRow row) {
      if (row.origin() == HappeningRow.Origin.DONE) {
        if (isOfRule(row) && row.deed().kind() == Deed.Kind.ENTERED) {
          return "The rule acted.";
        }
        return plan(Objects.requireNonNull(row.journeyId()), row.version()).say(row.deed());
      }
      if (row.document() == null) {
        return "Something was told of them.";
      }
      Happening told = row.happening();
      @Nullable Long journey = row.journeyId();
      if (told instanceof Happening.OfMessage of && journey != null) {
        return plan(journey, null).say(of);
      }
      return LogWords.sayOf(told, journey == null ? "" : Style.quoted(name(journey)));
    }

    /**
     * @param version null for the newest
     */
    LogWords plan(long journey, @Nullable Integer version) {
      return plans.computeIfAbsent(
          journey + " " + version,
          key -> {
            Program program = program(journey, version);
            return new LogWords(
                LiveNames.shown(program.journey(), named),
                editions.world(editions.newest()).catalogue());
          });
    }

    Program program(long journey, @Nullable Integer version) {
      var world = editions.world(editions.newest());
      var name = LiveNames.of(journey);
      return (version == null || version == 0
              ? world.current(name)
              : world.version(name, version).or(() -> world.current(name)))
          .orElseThrow(() -> new IllegalStateException("journey " + journey + " never was open"));
    }
  }

  Words words() {
    return new Words(open.current(), journeys.allNames(), open.rules());
  }
}
