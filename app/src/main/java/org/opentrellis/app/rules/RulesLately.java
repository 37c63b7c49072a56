package org.opentrellis.app.rules;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.computing.ComputingRoom;
import org.opentrellis.app.computing.Lane;
import org.opentrellis.app.live.CameLately;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.app.people.RecentPasts;
import org.opentrellis.app.rules.RuleViews.RuleLately;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.rule.StandingRule;
import org.springframework.stereotype.Service;

/** What a rule would have done lately with those to whom it would have happened. */
@Service
class RulesLately {
  private static final int DAYS = 30;
  private static final long DAY = ZoneClock.DAY;
  private static final int MINUTE = 60;

  /** Of more people than these as many are looked at, drawn evenly. */
  private static final int LOOKED_AT = 2_000;

  private final Rules rules;
  private final CameLately came;
  private final RecentPasts pasts;
  private final RegisteredNames names;
  private final Catalogues catalogues;
  private final ComputingRoom room;
  private final AccountClock clock;

  RulesLately(
      Rules rules,
      CameLately came,
      RecentPasts pasts,
      RegisteredNames names,
      Catalogues catalogues,
      ComputingRoom room,
      AccountClock clock) {
    this.rules = rules;
    this.came = came;
    this.pasts = pasts;
    this.names = names;
    this.catalogues = catalogues;
    this.room = room;
    this.clock = clock;
  }

  private record Key(String text, long minute) {}

  /**
   * @throws ProblemsFound if it is not understood
   */
  CompletableFuture<RuleLately> of(String text) {
    StandingRule rule = rules.understood(text);
    if (rule.when().stream().anyMatch(Trigger.EntersSegment.class::isInstance)) {
      return CompletableFuture.completedFuture(
          new RuleLately(
              "When people came into a segment is not kept, so nobody can say what it would have done lately."));
    }
    long now = clock.now();
    return room.compute(
        new Key(text, now / MINUTE), Lane.USUAL, effort -> lately(rule.journey(), now, effort));
  }

  private RuleLately lately(Journey rule, long now, Effort effort) {
    long from = now - DAYS * DAY;
    Map<Long, List<Happening>> otherwise = came.of(rule, from, now);
    Set<Long> touched = pasts.touched(rule.triggers(), from);
    touched.addAll(otherwise.keySet());
    List<Long> drawn = drawn(touched);
    World world = World.compile(List.of(rule), catalogues.current(), names.sold());
    Instant start = Instant.ofEpochSecond(from);
    Map<ZoneId, ZoneClock> clocks = new HashMap<>();
    long times = 0;
    long people = 0;
    for (long person : drawn) {
      effort.control().reached(1);
      int acts =
          pasts
              .of(person, otherwise.getOrDefault(person, List.of()), from)
              .acts(
                  world,
                  zone -> clocks.computeIfAbsent(zone, at -> ZoneClock.around(at, start, 2 * DAYS)),
                  now);
      times += acts;
      people += acts > 0 ? 1 : 0;
    }
    return new RuleLately(sentence(times, people, drawn.size(), touched.size()));
  }

  private static List<Long> drawn(Set<Long> touched) {
    List<Long> all = new ArrayList<>(touched);
    Collections.shuffle(all, new Random(all.size()));
    return all.subList(0, Math.min(LOOKED_AT, all.size()));
  }

  private static String sentence(long times, long people, int looked, int touched) {
    if (times == 0) {
      return "In the last %d days it would not have acted once.".formatted(DAYS);
    }
    boolean all = looked == touched;
    double share = (double) touched / looked;
    return String.format(
        Locale.ROOT,
        "In the last %d days it would have acted %s%s, for %s%s.",
        DAYS,
        all ? "" : "about ",
        counted(Math.round(times * share), "time"),
        counted(Math.round(people * share), "person").replace("persons", "people"),
        all ? "" : String.format(Locale.ROOT, " (%,d of %,d were looked at)", looked, touched));
  }

  private static String counted(long count, String what) {
    return count == 1 ? "1 " + what : String.format(Locale.ROOT, "%,d %ss", count, what);
  }
}
