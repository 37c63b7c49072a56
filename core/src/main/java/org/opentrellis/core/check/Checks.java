package org.opentrellis.core.check;

import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.TagName;

/** All checks. */
public final class Checks {
  private static final List<Check> ALL =
      List.of(
          new NoTrigger(),
          new EmailNotSentBefore(),
          new OpenedTooSoon(),
          new BuyersStay(),
          new TagNeverSet());

  private Checks() {}

  /** What all checks find, errors first. */
  public static List<Finding> run(CheckContext context) {
    return ALL.stream()
        .flatMap(check -> check.look(context).stream())
        .sorted(Comparator.comparing(Finding::severity))
        .toList();
  }

  /** The tags that a journey sets, or that people get to come into it. */
  public static Set<TagName> tagsSetBy(Journey journey) {
    return TagNeverSet.tagsSetBy(journey).collect(Collectors.toUnmodifiableSet());
  }
}
